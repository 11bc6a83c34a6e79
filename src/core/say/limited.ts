import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { ChangedUse } from '../questions/limit'
import { share } from './figureText'
import { lowerFirst } from './speech'

/** What a plan does more or less often: "Hip-sit to guard against “sprawls on us”: 12 times in a hundred, now 3." */
export function sayChangedUse(chart: Chart, { move, answer, now, then }: ChangedUse): string {
  const name = lookUp(chart.moves, move)?.name ?? ''
  const reaction = answer === null ? undefined : lookUp(chart.reactions, chart.answers[answer]?.reaction)
  const against = reaction ? ` against “${lowerFirst(reaction.name)}”` : ''
  return `${name}${against}: ${share(then)} times in a hundred, now ${share(now)}.`
}
