import type { Chart } from './chart'

/** What an edit did to a chart, so that it can be undone, done again, and told. */
export interface Diff {
  /** For each list of records that changed: one stretch taken out and one put in. */
  lists: { [K in ListName]?: { at: number; removed: unknown[]; added: unknown[] } }
  /** Other fields of the chart that changed; `undefined` is absent. */
  fields: Record<string, { before: unknown; after: unknown }>
}

const LISTS = ['positions', 'holds', 'moves', 'reactions', 'answers', 'runs', 'cards'] as const
type ListName = (typeof LISTS)[number]
type Fields = Record<string, unknown>

/** The difference between two charts that share the records in which they agree. */
export function diffOf(before: Chart, after: Chart): Diff {
  const diff: Diff = { lists: {}, fields: {} }
  const a = before as unknown as Fields
  const b = after as unknown as Fields
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    if (a[key] === b[key]) continue
    if (isList(key) && Array.isArray(a[key]) && Array.isArray(b[key])) diff.lists[key] = splice(a[key], b[key])
    else diff.fields[key] = { before: a[key], after: b[key] }
  }
  return diff
}

const isList = (key: string): key is ListName => (LISTS as readonly string[]).includes(key)

function splice(before: unknown[], after: unknown[]) {
  let at = 0
  while (at < before.length && at < after.length && before[at] === after[at]) at++
  let end = 0
  const most = Math.min(before.length, after.length) - at
  while (end < most && before[before.length - 1 - end] === after[after.length - 1 - end]) end++
  return { at, removed: before.slice(at, before.length - end), added: after.slice(at, after.length - end) }
}

/** The diff that takes back what this one did. */
export function inverted({ lists, fields }: Diff): Diff {
  const entries = Object.entries(lists).map(([name, { at, removed, added }]) => [
    name,
    { at, removed: added, added: removed },
  ])
  return {
    lists: Object.fromEntries(entries) as Diff['lists'],
    fields: Object.fromEntries(
      Object.entries(fields).map(([key, { before, after }]) => [key, { before: after, after: before }]),
    ),
  }
}

/** The chart after a diff; `chart` must be as it was where the diff was taken. */
export function applyDiff(chart: Chart, { lists, fields }: Diff): Chart {
  const next = { ...chart } as unknown as Fields
  for (const [name, { at, removed, added }] of Object.entries(lists)) {
    const list = [...(next[name] as unknown[])]
    list.splice(at, removed.length, ...added)
    next[name] = list
  }
  for (const [key, { after }] of Object.entries(fields)) {
    if (after === undefined) delete next[key]
    else next[key] = after
  }
  return next as unknown as Chart
}

/** True when nothing changed. */
export function isEmptyDiff({ lists, fields }: Diff): boolean {
  return Object.keys(lists).length === 0 && Object.keys(fields).length === 0
}
