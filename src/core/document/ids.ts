/* Ids of records: unique within their list, the same rule in every kind of document. */

export const ID_PATTERN = /^[a-z][a-z0-9-]{0,63}$/
/** Words that stand where an id may stand, and mean something else there. */
export const RESERVED_IDS: readonly string[] = ['finish', 'caught', 'goal']
/** Keys that no file may have, since they could reach an object's prototype: ids stand as keys in tries. */
export const FORBIDDEN_KEYS: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype'])
/** Reserved for positions only: charts from before it was reserved may have a move or a reaction of that name. */
export const OVER = 'over'

declare const brand: unique symbol
/** A string that only the id of one kind of record may be. */
export type Branded<Name extends string> = string & { readonly [brand]: Name }

/** True when `text` may be the id of a record. */
export function isId(text: unknown): text is string {
  return typeof text === 'string' && ID_PATTERN.test(text) && !RESERVED_IDS.includes(text)
}

/**
 * A free id made from a name: lower case, hyphens, a number behind it where the plain one is taken or would not do.
 * Letters outside a to z are folded (é to e) or dropped.
 */
export function idFromName(name: string, taken: { has: (id: string) => boolean }): string {
  const plain: string = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 56)
    .replace(/-+$/, '')
  const isFit: boolean = isId(plain)
  const stem = isFit ? plain : `new-${plain}`.replace(/-+$/, '')
  for (let n = 1; ; n++) {
    const id = n === 1 ? stem : `${stem}-${n}`
    if (id !== OVER && !FORBIDDEN_KEYS.has(id) && !taken.has(id)) return id
  }
}
