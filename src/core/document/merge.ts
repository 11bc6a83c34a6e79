import { fieldsOf, isRecord, recordsIn, type Fields } from './fields'
import { keyOfRecord, type AnyDocument, type DocumentKind } from './kind'
import { checkDocument } from './read'
import type { Problem } from '../problem'

/*
 * Two documents that began as one: whatever only one side has changed is taken, by record and field, and where both
 * have changed the same, somebody has to say which stands.
 */

export type Side = 'mine' | 'theirs'

/** Where both sides have changed the same. A value that is undefined is not there. */
export interface Conflict {
  /** Names the place for good: the same whatever was chosen elsewhere. */
  id: string
  /** The list; undefined: a field of the document, or of its settings. */
  list?: string
  /** The record, by its key; undefined with `list`: the order of a list, or of a group in it. */
  key?: string
  /** Undefined: the whole record, which one side has and the other has not. */
  field?: string
  mine: unknown
  theirs: unknown
}

export interface Merged<D> {
  document: D
  conflicts: Conflict[]
  /** How many records and fields came from them without a question. */
  taken: number
  /** What would be unsound as it was chosen. */
  problems: Problem[]
}

interface MergeKind<D extends AnyDocument> {
  kind: DocumentKind<D>
  /** Lists of which only the order within groups means something: the group of a record. */
  groupOf?: (list: string, record: object) => string
  /** Whether two records of one key, each added on its side, are about different things: then one of them is chosen. */
  areOthers?: (list: string, mine: object, theirs: object) => boolean
}

/**
 * Merges two documents. `base`: what both began as; null: nobody knows, and then every difference is a conflict.
 * `choose`: which side stands in a conflict. A record that one side has deleted, and that the other has not touched but
 * still needs, is a conflict too.
 */
export function merge<D extends AnyDocument>(
  of: MergeKind<D>,
  base: D | null,
  mine: D,
  theirs: D,
  choose: (conflict: Conflict) => Side,
): Merged<D> {
  const kept = new Set<string>()
  for (;;) {
    const merging = new Merging(of, base, mine, theirs, choose, kept)
    const merged = merging.done()
    // What was deleted on one side and is needed by the other is asked for too, and then what that needs.
    const needed = merged.problems.flatMap((problem) => merging.deletedFor(problem, merged.document))
    const fresh = needed.filter((place) => !kept.has(place))
    if (!fresh.length) return merged
    for (const place of fresh) kept.add(place)
  }
}

type Values = Record<Side | 'base', unknown>

class Merging<D extends AnyDocument> {
  private readonly conflicts: Conflict[] = []
  private readonly deleted = new Map<string, string[]>()
  private taken = 0

  constructor(
    private readonly of: MergeKind<D>,
    private readonly base: D | null,
    private readonly mine: D,
    private readonly theirs: D,
    private readonly choose: (conflict: Conflict) => Side,
    /** Records that one side has deleted, and that are asked for all the same, as `list/key`. */
    private readonly kept: ReadonlySet<string>,
  ) {}

  done(): Merged<D> {
    const document: Fields = {}
    const [b, m, t] = [fieldsOf(this.base ?? {}), fieldsOf(this.mine), fieldsOf(this.theirs)]
    for (const field of new Set([...Object.keys(m), ...Object.keys(t)])) {
      const values = { base: b[field], mine: m[field], theirs: t[field] }
      const value = field in this.of.kind.lists ? this.list(field, values) : this.settingOrField(field, values)
      if (value !== undefined) document[field] = value
    }
    const merged = document as object as D
    const problems = checkDocument(this.of.kind, merged)
    return { document: merged, conflicts: this.conflicts, taken: this.taken, problems }
  }

  /** Places of records that one side deleted and that a problem is about: what it names is not there. */
  deletedFor({ path }: Problem, document: D): string[] {
    const value = path.reduce<unknown>(
      (at, step) => (typeof at === 'object' && at ? fieldsOf(at)[step] : undefined),
      document,
    )
    const ids = [String(path.at(-1)), ...(typeof value === 'string' ? [value] : [])]
    return ids.flatMap((id) => this.deleted.get(id) ?? [])
  }

  /** A group of fields, as settings are, is merged field by field. */
  private settingOrField(field: string, values: Values): unknown {
    const { base, mine, theirs } = values
    if (!isRecord(mine) || !isRecord(theirs)) return this.value({ field }, values)
    return this.fields({}, { base: isRecord(base) ? base : {}, mine, theirs }, `${field}.`)
  }

  private fields(at: Pick<Conflict, 'list' | 'key'>, values: Record<keyof Values, Fields>, prefix = ''): Fields {
    const { base, mine, theirs } = values
    const all = new Set([...Object.keys(mine), ...Object.keys(theirs)])
    return Object.fromEntries(
      [...all].flatMap((name) => {
        const of = { base: base[name], mine: mine[name], theirs: theirs[name] }
        const value = this.value({ ...at, field: `${prefix}${name}` }, of)
        return value === undefined ? [] : [[name, value]]
      }),
    )
  }

  /** One value of which each side has its own. */
  private value(at: Omit<Conflict, 'id' | 'mine' | 'theirs'>, { base, mine, theirs }: Values): unknown {
    if (isSame(mine, theirs)) return mine
    const isKnown = this.base !== null && !this.isAsked(at)
    if (isKnown && isSame(base, theirs)) return mine
    if (isKnown && isSame(base, mine)) {
      this.taken++
      return theirs
    }
    const id = [at.list, at.key, at.field].map((one) => one ?? '').join('/')
    const conflict: Conflict = { id, ...at, mine, theirs }
    this.conflicts.push(conflict)
    return this.choose(conflict) === 'mine' ? mine : theirs
  }

  private isAsked({ list, key, field }: Pick<Conflict, 'list' | 'key' | 'field'>): boolean {
    return field === undefined && key !== undefined && this.kept.has(`${list}/${key}`)
  }

  private list(list: string, { base, mine, theirs }: Values): object[] | undefined {
    if (mine === undefined && theirs === undefined) return undefined
    const of = (value: unknown) => this.byKey(list, value)
    const [b, m, t] = [of(base), of(mine), of(theirs)]
    const records = new Map<string, object>()
    for (const key of new Set([...m.keys(), ...t.keys()])) {
      const record = this.record(list, key, { base: b.get(key), mine: m.get(key), theirs: t.get(key) })
      if (record) records.set(key, record)
    }
    return this.inOrder(list, records, { base: [...b.keys()], mine: [...m.keys()], theirs: [...t.keys()] })
  }

  private byKey(list: string, value: unknown): Map<string, object> {
    const records = recordsIn({ [list]: value }, list)
    return new Map(records.map((record) => [keyOfRecord(this.of.kind, list, record), record]))
  }

  private record(list: string, key: string, values: Record<keyof Values, object | undefined>): object | undefined {
    const { base, mine, theirs } = values
    const areOthers = !base && this.base && mine && theirs && this.of.areOthers?.(list, mine, theirs)
    if (mine && theirs && !areOthers) {
      if (isSame(mine, theirs)) return mine
      const known = { base: fieldsOf(base ?? {}), mine: fieldsOf(mine), theirs: fieldsOf(theirs) }
      return this.fields({ list, key }, known)
    }
    const record = this.value({ list, key }, values) as object | undefined
    if (base && !record) this.deleted.set(key, [...(this.deleted.get(key) ?? []), `${list}/${key}`])
    return record
  }

  /** The records in order: mine, with what came from them behind what it stands behind there; groups each in theirs. */
  private inOrder(
    list: string,
    records: ReadonlyMap<string, object>,
    { base, mine, theirs }: Record<keyof Values, string[]>,
  ): object[] {
    const order = mine.filter((key) => records.has(key))
    theirs.forEach((key, i) => {
      if (!records.has(key) || mine.includes(key)) return
      const before = theirs.slice(0, i).findLast((other) => order.includes(other))
      order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key)
    })
    const groupOf = (key: string) => this.of.groupOf?.(list, records.get(key) ?? {}) ?? ''
    for (const group of new Set(order.map(groupOf))) {
      const common = (keys: readonly string[]) =>
        keys.filter(
          (key) => records.has(key) && groupOf(key) === group && [mine, theirs].every((one) => one.includes(key)),
        )
      const [was, is, other] = [common(base), common(mine), common(theirs)]
      if (isSame(is, other)) continue
      const at = { list, field: `order ${group}`.trim() }
      const chosen = this.value(at, { base: was, mine: is, theirs: other })
      if (isSame(chosen, other)) reorder(order, other)
    }
    return order.flatMap((key) => records.get(key) ?? [])
  }
}

/** Puts keys of a list into another order, in the places that they have together. */
function reorder(order: string[], keys: readonly string[]): void {
  const places = order.flatMap((key, i) => (keys.includes(key) ? [i] : []))
  places.forEach((place, i) => void (order[place] = keys[i] ?? ''))
}

const isSame = (one: unknown, other: unknown): boolean => one === other || JSON.stringify(one) === JSON.stringify(other)
