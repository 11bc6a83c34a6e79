import { DEFAULT_DRILL_STEP, type Chart } from '../chart/chart'
import type { MoveId } from '../chart/ids'
import type { Kind } from '../chart/words'
import { goingBy, isOwn, wholeOf, type Whole } from '../chart/tries'

/**
 * What is drilled: a move, with the answers that borrow its tries; or an answer with tries of its own, by its index.
 */
export type DrillTarget = { of: 'move'; move: MoveId } | { of: 'answer'; answer: number }

/** How far a drill raises the log-odds of landing of a move of this kind. */
export const drillStep = ({ settings }: Pick<Chart, 'settings'>, kind: Kind): number =>
  settings?.drillSteps?.[kind] ?? settings?.drillStep ?? DEFAULT_DRILL_STEP

/** The chart with other tries of a move, or of an answer that goes in its own way. */
export function withTries(chart: Chart, target: DrillTarget, change: (tries: Whole) => Whole): Chart {
  if (target.of === 'move') {
    const moves = chart.moves.map((move) =>
      move.id === target.move && isOwn(move) ? goingBy(move, change(wholeOf(move))) : move,
    )
    return { ...chart, moves }
  }
  const answers = chart.answers.map((one, i) =>
    i === target.answer && isOwn(one) ? goingBy(one, change(wholeOf(one))) : one,
  )
  return { ...chart, answers }
}
