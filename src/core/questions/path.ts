import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { DEFAULT_MOVE_SECONDS } from '../chart/move'
import { DEFAULT_REACTION_SECONDS } from '../chart/reaction'
import type { Run, RunStep } from '../chart/run'
import type { Kind } from '../chart/words'

export type Spot = PositionId | 'finish' | 'caught'

/** Where a run has come to after a step. */
export interface OnPath {
  /** The position; while a reaction is met, where conceding leads. */
  spot: Spot
  isMet: boolean
  seconds: number
  /** What kind of move led here, where one landed. */
  kind?: Kind
}

/** The places of a run, the start first; what its steps name must be charted. */
export function pathOf(chart: Chart, { start, steps }: Pick<Run, 'start' | 'steps'>): OnPath[] {
  const path: OnPath[] = [{ spot: start, isMet: false, seconds: 0 }]
  /** The position that we are in, or were in before a reaction was met. */
  let from: Spot = start
  for (const step of steps) {
    const before = path[path.length - 1]
    const next = after(chart, step, before, from)
    if (!next.isMet) from = next.spot
    path.push(next)
  }
  return path
}

function after(chart: Chart, { move: id, reaction, elsewhere, stalls }: RunStep, before: OnPath, from: Spot): OnPath {
  const move = lookUp(chart.moves, id)
  const seconds = move ? (move.seconds ?? DEFAULT_MOVE_SECONDS) : before.isMet ? DEFAULT_REACTION_SECONDS : 1
  if (reaction) return { spot: lookUp(chart.reactions, reaction)?.endsIn ?? from, isMet: true, seconds }
  if (elsewhere) return { spot: elsewhere, isMet: false, seconds }
  if (!move) return { spot: before.spot, isMet: false, seconds }
  if (stalls) return { spot: before.isMet ? before.spot : (move.stallsIn ?? from), isMet: false, seconds }
  return { spot: move.to, isMet: false, seconds, kind: move.kind }
}
