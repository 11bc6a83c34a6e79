import type { Chart } from '../chart'
import type { Group } from '../rules/ruleSets'
import { setSetting } from './fields'

/** Who trains with the chart; a reason to show them everything was given for another group, and goes. */
export function setGroup(chart: Chart, group: Group | undefined): void {
  setSetting(chart, 'group', group)
  setSetting(chart, 'shownBecause', undefined)
}
