import type { Chart } from '../../src/core/chart/chart'
import { isEndId } from '../../src/core/chart/ids'
import { addAnswer, addNewAnswer, removeAnswer, shiftAnswer } from '../../src/core/chart/edits/answers'
import {
  addCheckpoint,
  removeCheckpoint,
  setCheckpoint,
  setFault,
  shiftCheckpoint,
} from '../../src/core/chart/edits/checkpoints'
import { answerRefAt } from '../../src/core/chart/edits/find'
import * as records from '../../src/core/chart/edits/records'
import { isOwn, triesOf } from '../../src/core/chart/tries'
import { borrowTries, partsOf, setRace, setTries, setUnprompted, withPart } from '../../src/core/chart/edits/tries'

/** Draws from what there is; seeded by whoever makes it. */
export type Draw = { below(n: number): number; one<T>(list: readonly T[]): T }

const anyAnswer = (chart: Chart, below: Draw['below']) => answerRefAt(chart, below(chart.answers.length))

export function drawWith(random: () => number): Draw {
  const below = (n: number) => Math.floor(random() * n)
  return { below, one: (list) => list[below(list.length)] }
}

/** What an edit does when it falls on whatever record the draw does. */
export type RandomEdit = (chart: Chart, draw: Draw) => unknown

/** Edits of the records that fit into any chart; none is ever refused. */
export const SOUND_EDITS = {
  addPosition: (chart) => records.addPosition(chart, { name: 'New place', family: 'side', ahead: 'even' }),
  addMove: (chart, { one }) => {
    const [from, to] = [one(chart.positions).id, one(chart.positions).id]
    records.addMove(chart, { name: 'New move', kind: 'advance', from, to, tries: { lands: 1 } })
  },
  addReaction: (chart, { one }) =>
    records.addReaction(chart, one(chart.moves).id, 'New reaction', one(chart.positions).id),
  meetReaction: (chart, { one }) => records.meetReaction(chart, one(chart.moves).id, one(chart.reactions).id),
  unmeetReaction: (chart, { one }) => {
    const move = one(chart.moves.filter(({ tries }) => Object.keys(tries?.reactions ?? {}).length))
    if (move) records.unmeetReaction(chart, move.id, one(Object.keys(move.tries!.reactions!)) as never)
  },
  rename: (chart, { one }) => records.rename(chart, 'moves', one(chart.moves).id, 'Other name'),
  swapPositions: (chart, { one }) => records.swapPositions(chart, one(chart.positions).id, one(chart.positions).id),
  removeMove: (chart, { one }) => records.removeMove(chart, one(chart.moves).id),
  removeReaction: (chart, { one }) => records.removeReaction(chart, one(chart.reactions).id),
  removePosition: (chart, { one }) =>
    chart.positions.length > 1 && records.removePosition(chart, one(chart.positions).id),
  moveMove: (chart, { one, below }) =>
    records.moveMove(chart, one(chart.moves).id, below(3) ? one(chart.moves).id : null),
  orderReactions: (chart, { one }) => {
    const move = one(chart.moves)
    records.orderReactions(chart, move.id, Object.keys(triesOf(move).reactions ?? {}).reverse() as never)
  },
  addAnswer: (chart, { one }) => {
    const [reaction, move] = [one(chart.reactions).id, one(chart.moves).id]
    const isNew = chart.answers.every((answer) => answer.reaction !== reaction || answer.move !== move)
    if (isNew) addAnswer(chart, reaction, move)
  },
  addNewAnswer: (chart, { one }) => {
    const reaction = one(chart.reactions.filter(({ endsIn }) => !isEndId(endsIn)))
    if (reaction) addNewAnswer(chart, reaction.id, 'New answer', 'finish')
  },
  removeAnswer: (chart, { below }) => chart.answers.length && removeAnswer(chart, anyAnswer(chart, below)),
  shiftAnswer: (chart, { below }) =>
    chart.answers.length && shiftAnswer(chart, anyAnswer(chart, below), below(2) ? 1 : -1),
  setTries: (chart, { one, below }) => {
    const move = one(chart.moves)
    setTries(
      chart,
      { of: 'move', move: move.id },
      { ...withPart(triesOf(move), one(partsOf(triesOf(move))), below(5)), lands: 1 },
    )
  },
  setRace: (chart, { one, below }) => {
    const owner = { of: 'move' as const, move: one(chart.moves).id }
    const reaction = one(chart.reactions)?.id
    setRace(
      chart,
      owner,
      reaction && below(3) ? { reaction, ours: 1 + below(3), theirs: 2, tries: 1 + below(4) } : null,
    )
  },
  borrowTries: (chart, { one }) => {
    const withTries = new Set(chart.moves.flatMap((move) => (isOwn(move) ? move.id : [])))
    const answer = one(chart.answers.filter(({ move }) => withTries.has(move)))
    if (answer) borrowTries(chart, answer)
  },
  setUnprompted: (chart, { one, below }) =>
    setUnprompted(chart, one(chart.positions).id, 8, { [one(chart.reactions).id]: below(3) }),
  addCheckpoint: (chart, { one }) => {
    const { id } = one(chart.moves)
    const checkpoint = addCheckpoint(chart, id, 'Elbow off the ribs')
    addCheckpoint(chart, id, 'Weight on the chest')
    setCheckpoint(chart, id, checkpoint, 'test', 'the knee touches the mat')
    setFault(chart, id, checkpoint, 'fix', 'lift it')
    shiftCheckpoint(chart, id, checkpoint, 1)
  },
  removeCheckpoint: (chart, { one }) => {
    const move = one(chart.moves.filter(({ checkpoints }) => checkpoints?.length))
    if (move) removeCheckpoint(chart, move.id, move.checkpoints![0].id)
  },
} satisfies Record<string, RandomEdit>

export const RANDOM_EDITS: RandomEdit[] = Object.values(SOUND_EDITS)
