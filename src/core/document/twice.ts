import type { Problem } from '../problem'

/** A problem for each record whose id another before it has. `path`: of the list. */
export function idsUsedTwice(records: readonly { id: string }[], path: Problem['path']): Problem[] {
  const seen = new Set<string>()
  return records.flatMap(({ id }, i): Problem[] => {
    const isTwice = seen.has(id)
    seen.add(id)
    return isTwice ? [{ code: 'duplicate-id', path: [...path, i, 'id'], message: `"${id}" is used twice` }] : []
  })
}
