import { present } from '../get'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Figures, MetFigure } from '../insight/figures'
import { NOTEWORTHY } from '../insight/nets'
import { landingOf } from './graph'

/** What the attempt comes to: something better for us, something worse, neither, or nothing answers it. */
export type EscapeKind = 'trap' | 'leak' | 'even' | 'loose'

/** An escape attempt met by a move; move null: what they do while we hold still. */
export interface Escape {
  key: string
  move: MoveId | null
  position: PositionId
  reaction: ReactionId
  name: string
  kind: EscapeKind
  net: number
  visits: number
  /** What it costs or brings in an exchange, by which marks are sized; of loose ends, as far as it is known. */
  weight: number
  /** Id of the move that is the best answer, if one is. */
  answer: MoveId | null
  /** Where it goes: where our answer lands, else where it ends. */
  to: string
}

export const escapeKey = (owner: string, reaction: string): string => `${owner} ${reaction}`

/** All escape attempts, those that weigh most first; loose ends and leaks before what is well. */
export function escapesOf(chart: Chart, figures: Figures, costs: readonly (number | null | undefined)[]): Escape[] {
  const loose = new Map<string, number>()
  figures.looseEnds.forEach(({ met, position, reaction, visits }, i) => {
    if (met.by === 'answer') return
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
