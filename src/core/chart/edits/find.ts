import { present } from '../../sure'
import type { Chart } from '../chart'
import type { MoveId, PositionId, ReactionId } from '../ids'
import type { Move } from '../move'
import type { Position } from '../position'
import type { Reaction } from '../reaction'
import { Refusal } from '../../problem'

/** An edit asked for a record which is no longer there; another tab may have taken it away. */
export class Gone extends Refusal {
  constructor(kind: string, id: string) {
    super(`the ${kind} "${id}" is no longer there`, 'gone')
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
export function moveBefore(list: unknown[], from: number, before: number): void {
  if (from < 0 || from === before) return
  list.splice(before > from ? before - 1 : before, 0, ...list.splice(from, 1))
}

/**
 * An answer has no id: it is known by what it answers with what. `nth`: which one of several that say the same, from 0.
 */
export interface AnswerRef {
  reaction: ReactionId
  move: MoveId
  nth?: number
}

/** Where an answer is now. Throws `Gone` where it is no longer there. */
export function answerPlace(chart: Chart, { reaction, move, nth = 0 }: AnswerRef): number {
  const same = chart.answers.flatMap((one, i) => (one.reaction === reaction && one.move === move ? [i] : []))
  const place = same[nth]
  if (place === undefined) throw new Gone('answer', move)
  return place
}

/** What an answer of the chart is known by, from its place in it. */
export function answerRefAt(chart: Chart, index: number): AnswerRef {
  const { reaction, move } = present(chart.answers[index])
  const nth = chart.answers.slice(0, index).filter((one) => one.reaction === reaction && one.move === move).length
  return { reaction, move, ...(nth ? { nth } : {}) }
}
