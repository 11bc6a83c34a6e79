import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Scenario } from '../game/scenario'
import type { Figures, MetFigure } from '../insight/figures'
import { NOTEWORTHY } from '../insight/nets'

/** A leak with what it costs an exchange: how often it is met times what it takes from us. */
export interface Leak {
  met: MetFigure
  cost: number
}

/** The leaks that cost most, worst first. */
export function worstLeaks({ met }: Figures, most: number): Leak[] {
  return met
    .filter(({ net, visits }) => net <= -NOTEWORTHY && visits > 0)
    .map((figure) => ({ met: figure, cost: figure.visits * figure.net }))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, most)
}

/** What a coach would say of the plan in one breath. */
export function headline(chart: Chart, scenario: Scenario, figures: Figures): string {
  const start = lookUp(chart.positions, scenario.start)?.name ?? ''
  const { finish, caught, theirs, ours } = figures.endings
  const goal = scenario.goal.length ? 'reach the goal or finish' : 'finish'
  const ends = [finish === 0 ? `we never ${goal}` : `we ${goal} ${about(finish)}`]
  if (ours >= 0.02) ends.push(`come out ahead ${times(ours)}`)
  const bad = caught + theirs
  ends.push(bad < 0.005 ? 'hardly ever end up worse off' : `are worse off or caught ${times(bad)}`)
  return `From ${start}, of a hundred exchanges ${listed(ends)}. ${firstMove(chart, figures)}${warning(chart, figures)}`
}

/** What the plan begins with. */
export function firstMove(chart: Chart, { best }: Figures): string {
  if (best === null) return 'There is nothing left to do from there.'
  if (best === 'wait') return 'Hold still first: nothing charted there beats waiting.'
  return `Begin with ${lookUp(chart.moves, best)?.name}.`
}

/** Where the plan leaks most; empty where it does not. */
export function warning(chart: Chart, figures: Figures): string {
  const [leak] = worstLeaks(figures, 1)
  if (!leak) return ''
  const reaction = lookUp(chart.reactions, leak.met.reaction)?.name ?? ''
  const move = lookUp(chart.moves, leak.met.move)?.name
  return ` It leaks most when they answer ${move ?? 'our holding still'} with “${reaction}”.`
}

/** 0.318 -> "32 times"; under half a time in a hundred, "less than once". */
export function times(chance: number): string {
  const n = Math.round(chance * 100)
  return n === 0 ? 'less than once' : n === 1 ? 'once' : `${n} times`
}

/** "about 32 times", "about once", "less than once". */
const about = (chance: number): string => `${chance < 0.005 ? '' : 'about '}${times(chance)}`

/** "a, b and c". */
export function listed(parts: string[]): string {
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}`
}
