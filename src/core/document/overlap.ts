import type { DocumentDiff, ListDiff } from './diff'
import { isRecord } from './fields'

/* What two changes of one document have to do with each other, where neither was made knowing of the other. */

/** Whether two steps that follow each other may change places: neither is about what the other is about. */
export function mayChangePlaces(one: DocumentDiff, other: DocumentDiff): boolean {
  if (Object.keys(one.fields).some((field) => field in other.fields)) return false
  return Object.entries(one.lists).every(([name, list]) => {
    const others = other.lists[name]
    return !others || !(shareRecords(list, others) || isBeside(list, others) || isBeside(others, list))
  })
}

function shareRecords(one: ListDiff, other: ListDiff): boolean {
  const keys = new Set(one.records.map(({ key }) => key))
  return other.records.some(({ key }) => keys.has(key))
}

/** Whether the place of a record in the list, or the order of all, depends on what came or went by the other. */
function isBeside({ records, order }: ListDiff, other: ListDiff): boolean {
  const moved = new Set(other.records.filter(({ before, after }) => !before || !after).map(({ key }) => key))
  if (order) return moved.size > 0 || other.order !== undefined
  return records.some(({ next }) => next !== undefined && moved.has(next))
}

/**
 * The places of values that both changes have changed, each to something else, as "moves/scarf-hold/tries/lands".
 * Records that came or went are left out: what refers to them refuses by itself.
 */
export function clashesOf(ours: DocumentDiff, theirs: DocumentDiff): string[] {
  const theirValues = changedValues(theirs)
  return [...changedValues(ours)].flatMap(([place, value]) => {
    const other = theirValues.get(place)
    return other === undefined || other === value ? [] : [place]
  })
}

/** What a change made of each value, as JSON, by the value's place. */
function changedValues({ lists, fields }: DocumentDiff): Map<string, string> {
  const found = new Map<string, string>()
  const visit = (place: string, before: unknown, after: unknown): void => {
    if (JSON.stringify(before) === JSON.stringify(after)) return
    // A group of values that came or went is looked into, too: the other may have changed one of them.
    const [was, is] = [before ?? (isRecord(after) ? {} : before), after ?? (isRecord(before) ? {} : after)]
    if (!isRecord(was) || !isRecord(is)) {
      return void found.set(place, after === undefined ? 'absent' : JSON.stringify(after))
    }
    for (const key of new Set([...Object.keys(was), ...Object.keys(is)])) visit(`${place}/${key}`, was[key], is[key])
  }
  for (const [field, { before, after }] of Object.entries(fields)) visit(field, before, after)
  for (const [name, { records }] of Object.entries(lists)) {
    for (const { key, before, after } of records) if (before && after) visit(`${name}/${key}`, before, after)
  }
  return found
}
