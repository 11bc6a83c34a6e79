import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { applyDiff, diffOf, inverted } from '../../src/core/chart/diff'
import { addAnswer, addNewAnswer, removeAnswer, shiftAnswer } from '../../src/core/chart/edits/answers'
import {
  addCheckpoint,
  removeCheckpoint,
  setCheckpoint,
  setFault,
  shiftCheckpoint,
} from '../../src/core/chart/edits/checkpoints'
import * as records from '../../src/core/chart/edits/records'
import { borrowTries, partsOf, setTries, setUnprompted, withPart } from '../../src/core/chart/edits/tries'
import { readChart } from '../../src/core/files/chartFile'
import { problemText } from '../../src/core/problem'
import { randomChart } from '../reference/randomChart'

type Draw = { below(n: number): number; one<T>(list: readonly T[]): T }

function anyAnswer(chart: Chart, below: Draw['below']) {
  const index = below(chart.answers.length)
  return { index, reaction: chart.answers[index].reaction, move: chart.answers[index].move }
}

/** One edit of each kind that the screens offer, on whatever record the draw falls. */
const EDITS: ((chart: Chart, draw: Draw) => void)[] = [
  (chart) => records.addPosition(chart, { name: 'New place', family: 'side', ahead: 'even' }),
  (chart, { one }) => {
    const [from, to] = [one(chart.positions).id, one(chart.positions).id]
    records.addMove(chart, { name: 'New move', kind: 'advance', from, to, tries: { lands: 1 } })
  },
  (chart, { one }) => records.addReaction(chart, one(chart.moves).id, 'New reaction', one(chart.positions).id),
  (chart, { one }) => records.meetReaction(chart, one(chart.moves).id, one(chart.reactions).id),
  (chart, { one }) => {
    const move = one(chart.moves.filter(({ tries }) => Object.keys(tries.reactions ?? {}).length))
    if (move) records.unmeetReaction(chart, move.id, one(Object.keys(move.tries.reactions!)) as never)
  },
  (chart, { one }) => records.rename(chart, 'moves', one(chart.moves).id, 'Other name'),
  (chart, { one }) => records.swapPositions(chart, one(chart.positions).id, one(chart.positions).id),
  (chart, { one }) => records.removeMove(chart, one(chart.moves).id),
  (chart, { one }) => records.removeReaction(chart, one(chart.reactions).id),
  (chart, { one }) => chart.positions.length > 1 && records.removePosition(chart, one(chart.positions).id),
  (chart, { one, below }) => records.moveMove(chart, one(chart.moves).id, below(3) ? one(chart.moves).id : null),
  (chart, { one }) => {
    const move = one(chart.moves)
    records.orderReactions(chart, move.id, Object.keys(move.tries.reactions ?? {}).reverse() as never)
  },
  (chart, { one }) => addAnswer(chart, one(chart.reactions).id, one(chart.moves).id),
  (chart, { one }) => {
    const reaction = one(chart.reactions.filter(({ endsIn }) => endsIn !== 'caught'))
    if (reaction) addNewAnswer(chart, reaction.id, 'New answer', 'finish')
  },
  (chart, { below }) => chart.answers.length && removeAnswer(chart, anyAnswer(chart, below)),
  (chart, { below }) => chart.answers.length && shiftAnswer(chart, anyAnswer(chart, below), below(2) ? 1 : -1),
  (chart, { one, below }) => {
    const move = one(chart.moves)
    setTries(
      chart,
      { of: 'move', move: move.id },
      { ...withPart(move.tries, one(partsOf(move.tries)), below(5)), lands: 1 },
    )
  },
  (chart, { below }) => chart.answers.length && borrowTries(chart, anyAnswer(chart, below)),
  (chart, { one, below }) => setUnprompted(chart, one(chart.positions).id, 8, { [one(chart.reactions).id]: below(3) }),
  (chart, { one }) => {
    const { id } = one(chart.moves)
    const checkpoint = addCheckpoint(chart, id, 'Elbow off the ribs')
    addCheckpoint(chart, id, 'Weight on the chest')
    setCheckpoint(chart, id, checkpoint, 'test', 'the knee touches the mat')
    setFault(chart, id, checkpoint, 'fix', 'lift it')
    shiftCheckpoint(chart, id, checkpoint, 1)
  },
  (chart, { one }) => {
    const move = one(chart.moves.filter(({ checkpoints }) => checkpoints?.length))
    if (move) removeCheckpoint(chart, move.id, move.checkpoints![0].id)
  },
]

describe('edits in any order', () => {
  it.each(Array.from({ length: 30 }, (_, i) => i + 1))('keep chart %i sound, and can be taken back', (seed) => {
    const random = seeded(seed)
    const below = (n: number) => Math.floor(random() * n)
    const draw: Draw = { below, one: (list) => list[below(list.length)] }
    const first = randomChart(seed, seed % 2 === 0)
    let chart = first
    const diffs = []
    for (let n = 0; n < 40; n++) {
      if (!chart.moves.length || !chart.reactions.length) break
      const after = produce(chart, (draft) => void draw.one(EDITS)(draft as Chart, draw))
      const checked = readChart(after)
      expect(checked.ok ? [] : checked.problems.map(problemText)).toEqual([])
      const diff = diffOf(chart, after)
      expect(applyDiff(chart, diff)).toEqual(after)
      diffs.push(diff)
      chart = after
    }
    for (const diff of diffs.reverse()) chart = applyDiff(chart, inverted(diff))
    expect(chart).toEqual(first)
  })
})
