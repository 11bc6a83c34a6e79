import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Position } from '../chart/position'
import { HoldTable } from './holdTable'
import { pinCheck } from './pinCheck'

/** One escape: the share of it (0 to 1) that each arrangement leaves, in the order of the arrangements. */
export interface ComparedEscape {
  reaction: ReactionId
  name: string
  left: number[]
  /** Index of the arrangement that leaves least; null where all leave the same. */
  best: number | null
}

/** The change from one arrangement to the one that is best against an escape, and the charted move, if any. */
export interface Switch {
  from: PositionId
  to: PositionId
  reaction: ReactionId
  move: MoveId | null
  /** Share of the escape that is left before and after the change, 0 to 1. */
  before: number
  after: number
}

export interface Comparison {
  arrangements: Position[]
  escapes: ComparedEscape[]
}

/** The arrangements of a pin: the positions with holds of the same frame in which the same person is ahead. */
export function arrangementsOf(chart: Chart, position: PositionId): Position[] {
  const here = lookUp(chart.positions, position)
  if (!here?.frame) return []
  return chart.positions.filter(
    ({ frame, ahead, holds }) => frame === here.frame && ahead === here.ahead && holds?.length,
  )
}

/** Compares the arrangements for every escape that occurs in one of them and that holds can hinder. */
export function compareArrangements(chart: Chart, arrangements: readonly Position[]): Comparison {
  const table = new HoldTable(chart.holds ?? [])
  const met = new Set(
    arrangements.flatMap(({ id }) =>
      pinCheck(chart, id)
        .escapes.filter(({ isHindrable }) => isHindrable)
        .map(({ reaction }) => reaction),
    ),
  )
  const escapes = [...met].map((reaction): ComparedEscape => {
    const record = present(lookUp(chart.reactions, reaction))
    const left = arrangements.map(({ holds }) => table.left(record, table.setOf(holds), 'ours'))
    const least = Math.min(...left)
    const isOne = Math.max(...left) - least > 1e-9
    return { reaction, name: record.name, left, best: isOne ? left.indexOf(least) : null }
  })
  return { arrangements: [...arrangements], escapes }
}

/** For each escape that occurs in the position: the arrangement to switch to. */
export function switchingPlan(chart: Chart, position: PositionId, { arrangements, escapes }: Comparison): Switch[] {
  const here = arrangements.findIndex(({ id }) => id === position)
  if (here < 0) return []
  const met = new Set(pinCheck(chart, position).escapes.map(({ reaction }) => reaction))
  return escapes.flatMap(({ reaction, left, best }): Switch[] => {
    if (best === null || best === here || !met.has(reaction) || sure(left[here]) - sure(left[best]) < 1e-9) return []
    const to = sure(arrangements[best]).id
    const move = chart.moves.find((one) => one.from === position && one.to === to)?.id ?? null
    return [{ from: position, to, reaction, move, before: sure(left[here]), after: sure(left[best]) }]
  })
}
