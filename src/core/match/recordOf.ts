import type { Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import type { MoveId, ReactionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { isOwn, wholeOf } from '../chart/tries'
import { sharesOf, type Outcomes } from './shares'

/** A way of doing one step: a move, or a move as an answer. */
export interface Variant {
  move: MoveId
  reply?: ReactionId
}

/**
 * The record that says how something goes: an answer with tries of its own, else the move. Undefined for an answer that
 * the chart does not plan, and where nothing says how it goes.
 */
export function recordOf({ moves, answers }: Chart, { move, reply }: Variant): Move | Answer | undefined {
  const answer = answers.find((one) => one.move === move && one.reaction === reply)
  if (reply !== undefined && !answer) return undefined
  const record = answer && isOwn(answer) ? answer : lookUp(moves, move)
  return record && isOwn(record) ? record : undefined
}

/** What comes of it, as shares of one try; undefined where the chart does not say. */
export function sharesIn(chart: Chart, what: Variant): Outcomes | undefined {
  const record = recordOf(chart, what)
  return record && sharesOf(wholeOf(record))
}

/** How often it lands, 0 to 1; undefined where the chart does not say. */
export const landingShare = (chart: Chart, what: Variant): number | undefined => sharesIn(chart, what)?.get('lands')
