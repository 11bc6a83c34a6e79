import type { Chart } from '../chart/chart'
import type { Athlete, Match } from '../match/adjust'
import type { Club } from './clubKind'
import { withoutTaken } from './tallies'

/** What a club has logged of a chart; what says no chart counts for each. */
export const triesOf = ({ tries }: Pick<Club, 'tries'>, chart: string): Club['tries'] =>
  tries.filter((one) => one.chart === undefined || one.chart === chart)

/**
 * A chart and a match-up to adjust it by: with the tries that the club has of it as the log, and without the tallies
 * that are among them, so that nothing counts twice. `now`: the day, as 2026-11-28.
 */
export function matchUp(
  chart: Chart,
  club: Pick<Club, 'tries'>,
  who: { us: Athlete | null; them: Athlete | null },
  now: string,
): { chart: Chart; match: Match } {
  const tries = triesOf(club, chart.id)
  return { chart: withoutTaken(chart, tries), match: { ...who, log: { tries, now } } }
}
