import { get, present } from '../get'
import type { Chart } from '../chart/chart'
import type { MoveId, PositionId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Position } from '../chart/position'
import { HoldTable } from './holdTable'
import { pinCheck } from './pinCheck'

/** One escape against every arrangement: what each leaves of it, in the order of the arrangements. */
export interface ComparedEscape {
  reaction: ReactionId
  name: string
  left: number[]
  /** Which arrangement leaves least, if any leaves less than another. */
  best: number | null
}

/** From one arrangement to the one that is best against an escape, and by which move, where one is charted. */
export interface Switch {
  from: PositionId
  to: PositionId
  reaction: ReactionId
  move: MoveId | null
  /** What it leaves of the escape, before and after. */
  before: number
  after: number
}

export interface Comparison {
  arrangements: Position[]
  escapes: ComparedEscape[]
}

/** The arrangements of a pin: positions of the same frame in which the same person is ahead and something is held. */
export function arrangementsOf(chart: Chart, position: PositionId): Position[] {
  const here = lookUp(chart.positions, position)
  if (!here?.frame) return []
  return chart.positions.filter(
    ({ frame, ahead, holds }) => frame === here.frame && ahead === here.ahead && holds?.length,
  )
}

/** Every escape that is met in one of the arrangements and that a hold can hinder, against all of them. */
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

/** For each escape that is met in a position: to which arrangement one should switch against it. */
export function switchingPlan(chart: Chart, position: PositionId, { arrangements, escapes }: Comparison): Switch[] {
  const here = arrangements.findIndex(({ id }) => id === position)
  if (here < 0) return []
  const met = new Set(pinCheck(chart, position).escapes.map(({ reaction }) => reaction))
  return escapes.flatMap(({ reaction, left, best }): Switch[] => {
    if (best === null || best === here || !met.has(reaction) || get(left, here) - get(left, best) < 1e-9) return []
    const to = get(arrangements, best).id
    const move = chart.moves.find((one) => one.from === position && one.to === to)?.id ?? null
    return [{ from: position, to, reaction, move, before: get(left, here), after: get(left, best) }]
  })
}
