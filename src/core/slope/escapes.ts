import { present } from '../sure'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Figures, MetFigure } from '../insight/figures'
import { NOTEWORTHY } from '../insight/nets'
import { landingOf } from './graph'

/** The result of an escape attempt: better for us (trap), worse (leak), neither (even), or unanswered (loose). */
export type EscapeKind = 'trap' | 'leak' | 'even' | 'loose'

/** An escape attempt against one of our moves; `move` null: it comes unprompted. */
export interface Escape {
  key: string
  move: MoveId | null
  position: PositionId
  reaction: ReactionId
  name: string
  kind: EscapeKind
  net: number
  visits: number
  /** What it costs or gains per exchange, in worth; sizes its mark. For a loose end, as far as its cost is known. */
  weight: number
  /** Id of the move of the best answer; null where there is none. */
  answer: MoveId | null
  /** Key of the place where our answer lands, or else where the attempt ends. */
  to: string
}

export const escapeKey = (owner: string, reaction: string): string => `${owner} ${reaction}`

/** All escape attempts: loose ends and leaks before the others, each by falling weight. */
export function escapesOf(chart: Chart, figures: Figures, costs: readonly (number | null | undefined)[]): Escape[] {
  const loose = new Map<string, number>()
  figures.looseEnds.forEach(({ met, position, reaction, visits }, i) => {
    if (reaction === null || met.by === 'answer') return
    const key = escapeKey(met.by === 'unprompted' ? position : met.move, reaction)
    loose.set(key, Math.max(0, costs[i] ?? visits * 1e-3))
  })
  return figures.met
    .map((met) => escapeOf(chart, met, loose))
    .sort((a, b) => Number(asksForWork(b)) - Number(asksForWork(a)) || b.weight - a.weight)
}

export const asksForWork = ({ kind }: Escape): boolean => kind === 'loose' || kind === 'leak'

function escapeOf(chart: Chart, met: MetFigure, loose: ReadonlyMap<string, number>): Escape {
  const key = escapeKey(met.move ?? met.position, met.reaction)
  const reaction = present(lookUp(chart.reactions, met.reaction))
  const answer = lookUp(chart.moves, met.best)
  const cost = loose.get(key)
  return {
    ...{ key, move: met.move, position: met.position, reaction: met.reaction, name: reaction.name },
    kind: cost !== undefined ? 'loose' : met.net >= NOTEWORTHY ? 'trap' : met.net <= -NOTEWORTHY ? 'leak' : 'even',
    ...{ net: met.net, visits: met.visits, weight: cost ?? met.visits * Math.abs(met.net) },
    answer: answer?.id ?? null,
    to: answer ? landingOf(answer) : reaction.endsIn,
  }
}
