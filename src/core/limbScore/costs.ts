import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { HoldTable } from '../holds/holdTable'
import type { Beat } from './play'

/** A capability of theirs that a step makes stronger: the share of it left before and after the step, 0 to 1. */
export interface GivenBack {
  capability: string
  before: number
  after: number
}

/** A smaller increase, as a share of the whole capability, is not reported. */
const WORTH_SAYING = 0.1

/**
 * For each beat, the capabilities that they get back against the beat before, largest increase first; empty for the
 * start. `beats`: of a run of this chart.
 */
export function costsOf(chart: Chart, beats: readonly Beat[]): GivenBack[][] {
  const table = new HoldTable(chart.holds ?? [])
  const known = [...new Set((chart.holds ?? []).flatMap(({ denies }) => (denies ?? []).map((one) => one.capability)))]
  return beats.map((beat, i) => {
    if (i === 0 || beat.place.kind === 'finish') return []
    const [was, is] = [table.setOf(sure(beats[i - 1]).holds), table.setOf(beat.holds)]
    return known
      .map((capability) => ({
        capability,
        before: table.capabilityLeft(capability, was, 'ours'),
        after: table.capabilityLeft(capability, is, 'ours'),
      }))
      .filter(({ before, after }) => after - before >= WORTH_SAYING)
      .sort((a, b) => b.after - b.before - (a.after - a.before))
  })
}
