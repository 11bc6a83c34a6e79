import type { Chart } from '../chart/chart'
import type { Athlete, Match } from '../match/adjust'
import type { Weighing } from '../match/tryLog'
import type { Club } from './clubKind'
import { HABIT } from './athlete'
import { withoutTaken } from './tallies'

/** What a club has logged of a chart; what says no chart counts for each. */
export const triesOf = ({ tries }: Pick<Club, 'tries'>, chart: string): Club['tries'] =>
  tries.filter((one) => one.chart === undefined || one.chart === chart)

/** The chart with the habits of who plays against us as what their reactions fit. */
function withHabits(chart: Chart, them: Athlete | null): Chart {
  const has = (id: string) => them?.traits[HABIT + id] !== undefined
  if (!chart.reactions.some(({ id }) => has(id))) return chart
  const reactions = chart.reactions.map((one) =>
    has(one.id) ? { ...one, fit: [...(one.fit ?? []), { trait: HABIT + one.id, of: 'theirs' as const, per: 1 }] } : one,
  )
  return { ...chart, reactions }
}

/**
 * A chart and a match-up to adjust it by: with the tries that the club has of it as the log, and without the tallies
 * that are among them, so that nothing counts twice. The habits of who plays against us are among what reactions fit.
 */
export function matchUp(
  chart: Chart,
  club: Pick<Club, 'tries'>,
  who: { us: Athlete | null; them: Athlete | null },
  { now, halfLife }: Weighing,
): { chart: Chart; match: Match } {
  const tries = triesOf(club, chart.id)
  const own = withHabits(withoutTaken(chart, tries), who.them)
  return { chart: own, match: { ...who, log: { tries, now, ...(halfLife ? { halfLife } : {}) } } }
}
