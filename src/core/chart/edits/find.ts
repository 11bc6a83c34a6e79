import type { Answer } from '../answer'
import type { Chart } from '../chart'
import type { MoveId, PositionId, ReactionId } from '../ids'
import type { Move } from '../move'
import type { Position } from '../position'
import type { Reaction } from '../reaction'

/** An edit that asks for a record which is no longer there; another tab may have taken it away. */
export class Gone extends Error {
  constructor(kind: string, id: string) {
    super(`the ${kind} "${id}" is no longer there`)
  }
}

function found<R extends { id: string }>(records: R[], kind: string, id: string): R {
  const record = records.find((one) => one.id === id)
  if (!record) throw new Gone(kind, id)
  return record
}

export const positionIn = (chart: Chart, id: PositionId): Position => found(chart.positions, 'position', id)
export const moveIn = (chart: Chart, id: MoveId): Move => found(chart.moves, 'move', id)
export const reactionIn = (chart: Chart, id: ReactionId): Reaction => found(chart.reactions, 'reaction', id)

export const idsIn = (records: readonly { id: string }[]): Set<string> => new Set(records.map(({ id }) => id))

/** Takes the record from where it is to where `before` is, or to the end. Both are of the same list. */
export function moveBefore<R>(list: R[], from: number, before: number): void {
  if (from < 0 || from === before) return
  const [record] = list.splice(from, 1)
  list.splice(before > from ? before - 1 : before, 0, record)
}

/** An answer has no id: it is known by its place and by what it answers with what. */
export interface AnswerRef {
  index: number
  reaction: ReactionId
  move: MoveId
}

/** Where the answer is now; another tab may have put others before it, or taken it away. */
export function answerPlace(chart: Chart, { index, reaction, move }: AnswerRef): number {
  const isIt = (answer: Answer | undefined) => answer?.reaction === reaction && answer.move === move
  const place = isIt(chart.answers[index]) ? index : chart.answers.findIndex(isIt)
  if (place < 0) throw new Gone('answer', move)
  return place
}
