import { fieldsOf, type Fields } from '../document/fields'
import { keysOfBoth } from '../typed'
import type { Chart } from './chart'

/*
 * Charts are changed by making new ones that share what stayed the same, so that what changed is seen at a glance and
 * only that is sent to a worker or drawn again.
 */

/** A list in which a record that was there before is told by its index in the list of before. */
type Listed<T> = T extends readonly (infer R)[] ? (R | number)[] : T

/** The fields of a chart that are others than they were; one that went is there, undefined. */
export type Changed = { [F in keyof Chart]?: Listed<NonNullable<Chart[F]>> | undefined }

/** Fields that say nothing of positions and moves: what they are worth depends on them through the scenario at most. */
const NON_PLAN_FIELDS = ['title', 'notes', 'settings', 'runs', 'cards', 'shared']

/** What of `chart` is another than in `before`; all of it where there is none. */
export function changedSince(before: Chart | null, chart: Chart): Changed {
  if (!before) return chart
  const changed = [...keysOfBoth(before, chart)].filter((field) => before[field] !== chart[field])
  return Object.fromEntries(changed.map((field) => [field, listed(before[field], chart[field])]))
}

function listed(before: unknown, now: unknown): unknown {
  if (!Array.isArray(before) || !Array.isArray(now)) return now
  const places = new Map(before.map((record: unknown, i) => [record, i]))
  return now.map((record: unknown) => places.get(record) ?? record)
}

/** The chart after a change. Records that stayed are the very objects of `before`. */
export function withChanged(before: Chart | null, changed: Changed): Chart {
  const chart: Fields = { ...before }
  for (const [field, value] of Object.entries(changed)) {
    const was: unknown = before && fieldsOf(before)[field]
    const known: unknown[] = Array.isArray(was) ? was : []
    const found = (one: unknown) => (typeof one === 'number' ? known[one] : one)
    chart[field] = Array.isArray(value) ? value.map(found) : value
  }
  return chart as object as Chart
}

/** Whether a field of a chart is part of what a game is compiled from. */
export const isOfPlan = (field: string): boolean => !NON_PLAN_FIELDS.includes(field)

/** Whether a change touches positions, moves or what leads from one to another. */
export const touchesPlan = (changed: Changed): boolean => Object.keys(changed).some(isOfPlan)
