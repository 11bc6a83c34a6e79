import { merge, type Conflict, type Merged, type Side } from '../document/merge'
import { fieldsOf } from '../document/fields'
import type { Chart } from './chart'
import { orderedWithin } from './chainRecords'
import { CHART_KIND } from './chartKind'
import { bareChart, mergedLineage } from './shared'

/** Two coaches may make different things of one name, such as an armbar from two positions. */
function areOthers(list: string, mine: object, theirs: object): boolean {
  const [m, t] = [fieldsOf(mine), fieldsOf(theirs)]
  return list !== 'answers' && ['name', 'from', 'endsIn', 'position'].some((field) => m[field] !== t[field])
}

/** A chart with what came back of it merged in, and what of it has to be chosen. */
export function mergeCharts(
  base: Chart | null,
  mine: Chart,
  theirs: Chart,
  choose: (conflict: Conflict) => Side,
): Merged<Chart> {
  const [m, t] = [bareChart(mine), { ...bareChart(theirs), id: mine.id }]
  const merged = merge({ kind: CHART_KIND, groupOf: orderedWithin, areOthers }, base && bareChart(base), m, t, choose)
  return { ...merged, document: { ...merged.document, shared: mergedLineage(mine, theirs) } }
}
