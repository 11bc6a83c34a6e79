import type { Chart } from '../chart/chart'
import { isEndId, type EndId, type MoveId, type PositionId, type ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Figures, MetFigure } from '../insight/figures'
import { NOTEWORTHY } from '../insight/nets'
import type { Comings } from './comings'

/*
 * Our plan as a climb: ledges where it comes, ribbons for what is tried, falls and steps up for what they do. Worths
 * are −1 to 1, all that counts is per hundred exchanges.
 */

/** Where the plan stands: its worth with its own holds at the full clock, and when it first comes there. */
export interface ClimbLedge {
  position: PositionId
  name: string
  value: number
  isTheirs: boolean
  per: number
  second: number | null
}

/** Where a ribbon leads: a ledge, the column of finishes, their finish, or that it is over. */
export type ClimbEnd = PositionId | 'finish' | EndId

/** Tries of a move, from one ledge towards another. */
export interface MoveRibbon {
  key: string
  move: MoveId
  name: string
  from: PositionId
  to: ClimbEnd
  /** Where it leads, and what that is worth, if there is no ledge. */
  beside?: { name: string; value: number }
  per: number
  /** Of what they do, from their chair: against which move, and what it brings them in a hundred exchanges. */
  theirs?: { against: string; gain: number }
  /** What they do against it there: how many leaks, traps and loose ends. */
  leaks: number
  traps: number
  open: number
}

/** What they do in reply, or by themselves (move null): where our best answer takes it. */
export interface ReplyRibbon {
  key: string
  move: MoveId | null
  reaction: ReactionId
  name: string
  /** The answer, null where conceding is best, and its name. */
  by: MoveId | null
  answer: string
  from: PositionId
  to: ClimbEnd
  per: number
  /** What it is worth once it is met. */
  value: number
  /** Worth of the reaction less worth had nothing come of the try, and what that costs in a hundred exchanges. */
  net: number
  cost: number
}

export interface Climb {
  ledges: ClimbLedge[]
  moves: MoveRibbon[]
  replies: ReplyRibbon[]
  /** The bars at the end: what finishes how often. */
  finishes: { move: MoveId; name: string; per: number }[]
  caught: number
  /** Moves and replies that are used, but too seldom, or from positions that there is no room for. */
  folded: { moves: MoveRibbon[]; replies: ReplyRibbon[] }
}

/** What is used less often in a hundred exchanges is folded; under this it is not of the plan at all. */
const [DRAWN, OF_THE_PLAN] = [2, 0.05]
export const HUNDRED = 100

/** The plan of a chart as a climb. */
export function climbOf(chart: Chart, figures: Figures, comings: Comings): Climb {
  const ledges = comings.positions.flatMap(({ position, visits, second }): ClimbLedge[] => {
    const record = lookUp(chart.positions, position)
    const figure = figures.positions[position]
    if (!record || !figure) return []
    const { name, ahead } = record
    const per = visits * HUNDRED
    return [{ position, name, value: figure.value, isTheirs: ahead === 'theirs', per, second }]
  })
  const isLedge = (place: ClimbEnd) => isEnd(place) || ledges.some(({ position }) => position === place)
  const isDrawn = ({ from, per }: MoveRibbon | ReplyRibbon) => per >= DRAWN && isLedge(from)
  const moves = moveRibbons(chart, figures).map((move) => ({ ...move, ...besideOf(move, chart, figures, isLedge) }))
  const replies = figures.met.flatMap((met) => replyRibbon(chart, met))
  return {
    ...{ ledges, moves: moves.filter(isDrawn), replies: replies.filter(isDrawn) },
    finishes: comings.finishes.map(({ move, chance }) => ({
      ...{ move, name: lookUp(chart.moves, move)?.name ?? move, per: chance * HUNDRED },
    })),
    caught: figures.endings.caught * HUNDRED,
    folded: {
      moves: moves.filter((one) => !isDrawn(one)),
      replies: replies.filter((one) => !isDrawn(one)),
    },
  }
}

/** A move with all that they do against it, the dearest first; drawn or folded. */
export function forkOf({ moves, replies, folded }: Climb, move: string): { own?: MoveRibbon; replies: ReplyRibbon[] } {
  const own = [...moves, ...folded.moves].find((one) => one.move === move)
  const all = [...replies, ...folded.replies].filter((one) => one.move === move).sort((a, b) => b.cost - a.cost)
  return { ...(own ? { own } : {}), replies: all }
}

function besideOf({ to }: MoveRibbon, chart: Chart, figures: Figures, isLedge: (place: ClimbEnd) => boolean) {
  if (isLedge(to)) return {}
  const [name, value] = [lookUp(chart.positions, to)?.name, figures.positions[to as PositionId]?.value]
  return name !== undefined && value !== undefined ? { beside: { name, value } } : {}
}

const isEnd = (place: ClimbEnd): boolean => place === 'finish' || isEndId(place)

/** Tries from a position; as answers they are part of what they reply to. */
function moveRibbons(chart: Chart, figures: Figures): MoveRibbon[] {
  return chart.moves.flatMap((move): MoveRibbon[] => {
    const per = HUNDRED * (figures.moves[move.id]?.usedAs.find(({ answer }) => answer === null)?.uses ?? 0)
    if (per < OF_THE_PLAN) return []
    const met = figures.met.filter((one) => one.move === move.id)
    const open = figures.looseEnds.filter(({ met: at }) => 'move' in at && at.move === move.id)
    return [
      {
        ...{ key: move.id, move: move.id, name: move.name, from: move.from, to: move.to, per },
        leaks: met.filter(({ net }) => net <= -NOTEWORTHY).length,
        traps: met.filter(({ net }) => net >= NOTEWORTHY).length,
        open: open.length,
      },
    ]
  })
}

function replyRibbon(chart: Chart, met: MetFigure): ReplyRibbon[] {
  const per = HUNDRED * met.visits
  const reaction = lookUp(chart.reactions, met.reaction)
  if (per < OF_THE_PLAN || !reaction) return []
  const answer = lookUp(chart.moves, met.best)
  const to = answer ? answer.to : reaction.endsIn
  return [
    {
      ...{ key: `${met.move ?? met.position} ${met.reaction}`, move: met.move, reaction: met.reaction },
      ...{ name: reaction.name, by: answer?.id ?? null, answer: answer?.name ?? '', from: met.position, to, per },
      ...{ value: met.value, net: met.net },
      cost: -met.net * per,
    },
  ]
}
