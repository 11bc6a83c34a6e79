import type { RuleSet, ScoringAction } from '../../chart/rules/ruleSet'
import { SCORING_ACTIONS } from '../../chart/rules/ruleSet'
import { keysOf } from '../../typed'

/** Expected numbers an exchange, for one of the two; of hold-downs in the order of the rule set. */
export type Counts = Record<ScoringAction, number> & { controlSeconds: number; holdDown: number[] }
export interface ExpectedScore {
  ours: Counts
  theirs: Counts
}

/** What a rule set says of how long something must be held before it counts. */
export type MustBeHeld = Pick<RuleSet, 'heldFor' | 'holdDown'>

/** What an exchange scores under a rule set, in points. Control time counts by the second, not by whole stretches. */
export function pointsOf(counts: Counts, { points = {}, controlTime, holdDown = [] }: RuleSet): number {
  const times = keysOf(SCORING_ACTIONS).reduce((sum, score) => sum + counts[score] * (points[score] ?? 0), 0)
  const held = holdDown.reduce((sum, { points: each }, i) => sum + (counts.holdDown[i] ?? 0) * each, 0)
  return times + held + (controlTime ? (counts.controlSeconds / controlTime.every) * controlTime.points : 0)
}

/** Nothing scored. */
export const noCounts = ({ holdDown = [] }: MustBeHeld): Counts => ({
  ...{ takedown: 0, sweep: 0, pass: 0, kneeRide: 0, mount: 0, back: 0, exposure: 0, controlSeconds: 0 },
  holdDown: holdDown.map(() => 0),
})
