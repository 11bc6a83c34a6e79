import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Scenario } from '../game/scenario'
import type { Figures } from '../insight/figures'
import type { IfResult } from '../questions/whatIf'
import { clockText } from './figureText'
import { firstMove, listed, times, warning } from './headline'
import { inPlace, lowerFirst, upperFirst } from './speech'

/** "level", "2 ahead", "2 behind"; of us. */
export const scoreText = (score: number): string =>
  score === 0 ? 'level' : `${Math.abs(score)} ${score > 0 ? 'ahead' : 'behind'}`

/** What a coach would say of the match in one breath, by a plan that is to win it. */
export function headlineOfMatch(chart: Chart, scenario: Scenario, figures: Figures): string {
  const start = lookUp(chart.positions, scenario.start)?.name ?? ''
  const { finish, caught, ours, even, theirs } = figures.endings
  const left = scenario.seconds === null ? '' : ` with ${clockText(scenario.seconds)} left`
  const ends = [sayWins(finish, ours)]
  if (even >= SELDOM) ends.push(`draw ${times(even)}`)
  ends.push(theirs + caught < SELDOM ? 'hardly ever lose' : `lose ${times(theirs + caught)}`)
  const head = `From ${start}, ${scoreText(scenario.score)}${left}, of a hundred matches ${listed(ends)}.`
  return `${head} ${firstMove(chart, figures)}${warning(chart, figures)}`
}

/** Of a hundred, it rounds to none. */
const SELDOM = 0.005

function sayWins(finish: number, onPoints: number): string {
  if (finish + onPoints < SELDOM) return 'we hardly ever win'
  const byFinish = ` (${Math.round(finish * 100)} by a finish)`
  const how = finish < SELDOM ? ' on points' : onPoints < SELDOM ? ' by a finish' : byFinish
  return `we win ${times(finish + onPoints)}${how}`
}

/** The score that a score is held against: turned round, and two ahead where it is level. */
export const otherScore = (score: number): number => (score === 0 ? 2 : -score)

/** Where another move is best with another score: the place, what is best now, and what then. */
export function sayByScore(chart: Chart, { position, was, now }: IfResult['changes'][number]) {
  const doing = (best: string | null) =>
    best === null ? 'nothing left to do' : best === 'wait' ? 'hold still' : lowerFirst(nameOf(chart.moves, best))
  return { place: upperFirst(inPlace(nameOf(chart.positions, position))), now: doing(was), then: doing(now) }
}

const nameOf = (records: readonly { id: string; name: string }[], id: string): string => lookUp(records, id)?.name ?? ''
