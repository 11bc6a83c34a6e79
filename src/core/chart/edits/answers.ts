import { Refusal } from '../../problem'
import type { Chart } from '../chart'
import { isEndId, type MoveId, type PositionId, type ReactionId } from '../ids'
import { NEW_ANSWER, newMove } from '../guesses'
import type { Tries } from '../tries'
import { answerPlace, Gone, moveBefore, moveIn, reactionIn, type AnswerRef } from './find'
import { addMove } from './records'

/**
 * Answers a reaction with a charted move, after the answers that there are. Refuses one that answers it already. An
 * answer without `tries` goes as its move does, if that has any.
 */
export function addAnswer(chart: Chart, reaction: ReactionId, move: MoveId, tries?: Tries): number {
  const { name: how } = reactionIn(chart, reaction)
  const { name, tries: cold } = moveIn(chart, move)
  if (chart.answers.some((one) => one.reaction === reaction && one.move === move)) {
    throw new Refusal(`${name} answers “${how}” already`)
  }
  const own = tries ?? (cold ? undefined : { ...NEW_ANSWER })
  const answer = { reaction, move, ...(own ? { tries: own } : {}) }
  const last = chart.answers.findLastIndex((other) => other.reaction === reaction)
  const at = last < 0 ? chart.answers.length : last + 1
  chart.answers.splice(at, 0, answer)
  return at
}

/** Answers a reaction with a move that is not charted yet, from where the reaction ends. It is only in reply. */
export function addNewAnswer(chart: Chart, reaction: ReactionId, name: string, to: PositionId | 'finish'): number {
  const { endsIn } = reactionIn(chart, reaction)
  if (isEndId(endsIn)) throw new Gone('position', endsIn)
  const kind = to === 'finish' ? 'submission' : 'advance'
  const move = addMove(chart, newMove({ name, kind, from: endsIn, to, reply: true }))
  return addAnswer(chart, reaction, move, { ...NEW_ANSWER })
}

export function removeAnswer(chart: Chart, answer: AnswerRef): void {
  chart.answers.splice(answerPlace(chart, answer), 1)
}

/** One place up or down among the answers to its reaction. Returns where it is then. */
export function shiftAnswer(chart: Chart, answer: AnswerRef, by: -1 | 1): number {
  const index = answerPlace(chart, answer)
  const own = chart.answers.flatMap(({ reaction }, i) => (reaction === answer.reaction ? [i] : []))
  const other = own[own.indexOf(index) + by]
  if (other === undefined) return index
  moveBefore(chart.answers, index, by < 0 ? other : other + 1)
  return other
}

/** The answers to a reaction in the coach's order, with their places in the chart. */
export function answersTo(chart: Chart, reaction: ReactionId): { answer: Chart['answers'][number]; index: number }[] {
  return chart.answers.flatMap((answer, index) => (answer.reaction === reaction ? [{ answer, index }] : []))
}
