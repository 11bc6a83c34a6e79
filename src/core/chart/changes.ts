import { keysOfBoth } from '../typed'
import type { Chart } from './chart'

/*
 * Charts are changed by making new ones that share what stayed the same, so that what changed is seen at a glance and
 * only that is sent to a worker or drawn again.
 */

/** The fields of a chart that are others than they were; one that went is there, undefined. */
export type Changed = { [F in keyof Chart]?: Chart[F] | undefined }

/** Fields that say nothing of positions and moves: what they are worth depends on them through the scenario at most. */
const NON_PLAN_FIELDS = ['title', 'notes', 'settings', 'runs', 'cards']

/** What of `chart` is another than in `before`; all of it where there is none. */
export function changedSince(before: Chart | null, chart: Chart): Changed {
  if (!before) return chart
  const fields = keysOfBoth(before, chart)
  const changed = [...fields].filter((field) => before[field] !== chart[field])
  return Object.fromEntries(changed.map((field) => [field, chart[field]]))
}

/** The chart after a change. */
export const withChanged = (before: Chart | null, changed: Changed): Chart => ({ ...before, ...changed }) as Chart

/** Whether a change touches positions, moves or what leads from one to another. */
export const touchesPlan = (changed: Changed): boolean =>
  Object.keys(changed).some((field) => !NON_PLAN_FIELDS.includes(field))
