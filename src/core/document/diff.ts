import { fieldsOf, recordsIn } from './fields'
import { keyOfRecord, type AnyDocument, type DocumentKind, type Keys } from './kind'

/*
 * What an edit did to a document, by the keys of its records, so that it can be undone, done again, kept and told.
 * Undo, autosave and "what changed" share it.
 */

export interface DocumentDiff {
  /** For each list that changed. */
  lists: Record<string, ListDiff>
  /** Fields that are not lists; absent is undefined. */
  fields: Record<string, { before?: unknown; after?: unknown }>
}

export interface ListDiff {
  /** Records that came, went or changed, in the list's order; those that went, in the order that they had. */
  records: RecordDiff[]
  /** Keys of all records, where those that stayed are in another order than they were. */
  order?: { before: string[]; after: string[] }
}

export interface RecordDiff {
  key: string
  /** Absent: the record was not there. */
  before?: object
  /** Absent: the record is no longer there. */
  after?: object
  /** Of one that came or went: the key of the record that followed it; absent where it was the last. */
  next?: string
}

/** The difference between two documents that share the records (as objects) in which they agree. */
export function diffOf<D extends AnyDocument>(kind: DocumentKind<D>, before: D, after: D): DocumentDiff {
  const diff: DocumentDiff = { lists: {}, fields: {} }
  const a = fieldsOf(before)
  const b = fieldsOf(after)
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    if (a[key] === b[key]) continue
    const [was, is] = [a[key], b[key]]
    if (key in kind.lists && Array.isArray(was) && Array.isArray(is)) {
      const list = listDiff(keyed(kind, key, recordsIn(before, key)), keyed(kind, key, recordsIn(after, key)))
      if (list) diff.lists[key] = list
    } else if (!isSame(was, is)) {
      diff.fields[key] = {
        ...(was === undefined ? {} : { before: was }),
        ...(is === undefined ? {} : { after: is }),
      }
    }
  }
  return diff
}

type Keyed = [key: string, record: object][]

/** The records with their keys; a key that comes again is told apart by a number behind it. */
function keyed(kind: Keys, list: string, records: readonly object[]): Keyed {
  const times = new Map<string, number>()
  return records.map((record) => {
    const key = keyOfRecord(kind, list, record)
    const n = (times.get(key) ?? 0) + 1
    times.set(key, n)
    return [n === 1 ? key : `${key} #${n}`, record]
  })
}

function listDiff(before: Keyed, after: Keyed): ListDiff | null {
  const was = new Map(before)
  const is = new Map(after)
  const records = [
    ...before.flatMap(([key, record], i): RecordDiff[] =>
      is.has(key) ? [] : [{ key, before: record, ...nextOf(before, i) }],
    ),
    ...after.flatMap(([key, record], i): RecordDiff[] => {
      const old = was.get(key)
      if (!old) return [{ key, after: record, ...nextOf(after, i) }]
      return isSame(old, record) ? [] : [{ key, before: old, after: record }]
    }),
  ]
  const stayed = before.filter(([key]) => is.has(key))
  const staying = after.filter(([key]) => was.has(key))
  const isReordered = stayed.some(([key], i) => key !== staying[i]?.[0])
  if (!records.length && !isReordered) return null
  const order = { before: before.map(([key]) => key), after: after.map(([key]) => key) }
  return { records, ...(isReordered ? { order } : {}) }
}

/**
 * Whether two values say the same in the same order: fields in another order are another thing, as tries' reactions
 * are.
 */
const isSame = (one: unknown, other: unknown): boolean => one === other || JSON.stringify(one) === JSON.stringify(other)

const nextOf = (list: Keyed, i: number): { next?: string } => {
  const next = list[i + 1]?.[0]
  return next === undefined ? {} : { next }
}

/** The diff that takes back what this one did. */
export function inverted({ lists, fields }: DocumentDiff): DocumentDiff {
  const list = ({ records, order }: ListDiff): ListDiff => ({
    records: records.map(({ before, after, ...rest }) => ({
      ...rest,
      ...(after === undefined ? {} : { before: after }),
      ...(before === undefined ? {} : { after: before }),
    })),
    ...(order ? { order: { before: order.after, after: order.before } } : {}),
  })
  const field = ({ before, after }: DocumentDiff['fields'][string]) => ({
    ...(after === undefined ? {} : { before: after }),
    ...(before === undefined ? {} : { after: before }),
  })
  return { lists: mapped(lists, list), fields: mapped(fields, field) }
}

const mapped = <T, U>(record: Record<string, T>, map: (value: T) => U): Record<string, U> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, map(value)]))

/** The document after a diff. What the diff does not name stays the very same records. */
export function applyDiff<D extends object>(kind: Keys, document: D, { lists, fields }: DocumentDiff): D {
  const copy = { ...document }
  const next = fieldsOf(copy)
  for (const [name, diff] of Object.entries(lists)) {
    next[name] = applyToList(keyed(kind, name, recordsIn(document, name)), diff)
  }
  for (const [key, { after }] of Object.entries(fields)) {
    if (after === undefined) delete next[key]
    else next[key] = after
  }
  return copy
}

function applyToList(list: Keyed, { records, order }: ListDiff): object[] {
  const byKey = new Map(records.map((record) => [record.key, record]))
  const kept = list.flatMap(([key, record]): Keyed => {
    const change = byKey.get(key)
    if (!change) return [[key, record]]
    return change.after === undefined || change.before === undefined ? [] : [[key, change.after]]
  })
  // From the last to the first, so that what follows a record is there already.
  for (const { key, before, after, next } of records.toReversed()) {
    if (before !== undefined || after === undefined) continue
    const at = next === undefined ? -1 : kept.findIndex(([other]) => other === next)
    kept.splice(at < 0 ? kept.length : at, 0, [key, after])
  }
  return (order ? inOrder(kept, order.after) : kept).map(([, record]) => record)
}

function inOrder(list: Keyed, keys: readonly string[]): Keyed {
  const place = new Map(keys.map((key, i) => [key, i]))
  return list.toSorted(([a], [b]) => (place.get(a) ?? Infinity) - (place.get(b) ?? Infinity))
}

/** True when nothing changed. */
export function isEmptyDiff({ lists, fields }: DocumentDiff): boolean {
  return Object.keys(lists).length === 0 && Object.keys(fields).length === 0
}
