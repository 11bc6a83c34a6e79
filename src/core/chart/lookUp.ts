const known = new WeakMap<readonly object[], Map<string, object>>()

/**
 * The record with an id, or undefined. Keeps an index of the list it was asked about, so the list must be one that
 * nobody changes any more: a chart on show, not a draft.
 */
export function lookUp<R extends { id: string }>(records: readonly R[] | undefined, id: string | null | undefined) {
  if (!records || !id) return undefined
  let index = known.get(records) as Map<string, R> | undefined
  if (!index) known.set(records, (index = new Map(records.map((record) => [record.id, record]))))
  return index.get(id)
}
