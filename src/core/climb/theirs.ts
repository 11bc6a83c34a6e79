import type { Chart } from '../chart/chart'
import type { MoveId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Figures, MetFigure } from '../insight/figures'
import { climbOf, HUNDRED, type Climb, type ClimbEnd, type ClimbLedge, type MoveRibbon } from './climb'
import type { Comings } from './comings'

/** Openings that a picture has room for, and how often in a hundred exchanges what is drawn happens. */
const [MOST, DRAWN] = [12, 2]
/** Keys of the bars at the end: they finish, they end ahead. */
export const THEIR_ENDS = ['they-finish', 'they-end-ahead'] as const

/**
 * The plan from the other chair: what we try are their ledges, at the height of what that is worth to them; what they
 * do there are their ribbons, to the next thing that we then try, or to the height of what it is worth.
 */
export function theirClimb(chart: Chart, figures: Figures, comings: Comings): Climb {
  const plan = climbOf(chart, figures, comings)
  const openings = [...plan.moves, ...plan.folded.moves]
    .filter(({ per, move }) => per >= DRAWN && figures.met.some((met) => met.move === move))
    .sort((a, b) => b.per - a.per)
    .slice(0, MOST)
  const ribbons = figures.met.flatMap((met) => ribbonOf(chart, met, openings))
  const isDrawn = ({ per }: MoveRibbon) => per >= DRAWN
  const { caught, finish, theirs } = figures.endings
  return {
    ledges: openings.map((one) => ledgeOf(one, figures, comings)),
    moves: ribbons.filter(isDrawn),
    replies: [],
    finishes: THEIR_ENDS.map((move, i) => ({
      ...{ move: move as string as MoveId, name: '', per: HUNDRED * ([caught, theirs][i] ?? 0) },
    })),
    caught: HUNDRED * finish,
    folded: { moves: ribbons.filter((one) => !isDrawn(one)), replies: [] },
  }
}

/** An opening has the id of our move in place of a position's. */
const placeOf = (move: MoveId) => move as string as PositionId

function ledgeOf({ move, name, from, per }: MoveRibbon, figures: Figures, comings: Comings): ClimbLedge {
  const second = comings.positions.find(({ position }) => position === from)?.second ?? null
  const value = -(figures.moves[move]?.value ?? figures.positions[from]?.value ?? 0)
  return { position: placeOf(move), name, value, isTheirs: true, per, second }
}

function ribbonOf(chart: Chart, met: MetFigure, openings: readonly MoveRibbon[]): MoveRibbon[] {
  const opening = openings.find(({ move }) => move === met.move)
  const reaction = lookUp(chart.reactions, met.reaction)
  const per = HUNDRED * met.visits
  if (!opening || !reaction || per === 0) return []
  const lands = lookUp(chart.moves, met.best)?.to ?? reaction.endsIn
  const next = openings.find(({ from }) => from === lands)
  const goesOn = next ? placeOf(next.move) : (TURNED[lands] ?? lands)
  return [
    {
      ...{ key: `${opening.move} ${met.reaction}`, move: opening.move, name: reaction.name },
      ...{ from: placeOf(opening.move), to: goesOn, per, leaks: 0, traps: 0, open: 0 },
      ...(next || lands in TURNED
        ? {}
        : { beside: { name: lookUp(chart.positions, lands)?.name ?? '', value: -met.value } }),
      theirs: { against: opening.name, gain: -met.net * per },
    },
  ]
}

/** What ends it, from the other chair: their finish is at the top, ours at the foot. */
const TURNED: Record<string, ClimbEnd> = { finish: 'caught', caught: 'finish' }
