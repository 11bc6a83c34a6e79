import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { removeMove, removePosition, removeReaction } from '../../src/core/chart/edits/records'
import { sayRemoved } from '../../src/core/say/removed'
import { soundChart } from '../fixtures/brokenCharts'

const chart = produce(soundChart() as unknown as Chart, (draft) => {
  const [step] = draft.moves
  draft.moves.push({ ...step, id: 'climb' as never, name: 'Climb', from: 'mount' as never, tries: { lands: 1 } })
  draft.answers.push({ reaction: 'bridge' as never, move: 'climb' as never })
})
const without = (edit: (draft: Chart) => unknown) => produce(chart, (draft) => void edit(draft))

describe('what went along with something that was removed', () => {
  it('are the answers elsewhere by a move, with what they are on', () => {
    const after = without((draft) => removeMove(draft, 'climb' as never))
    expect(sayRemoved('Climb', ['climb'], chart, after)).toBe(
      'Removed Climb with 1 answer on Step over. Undo takes that back.',
    )
  })

  it('are not the answers to a reaction that went itself', () => {
    const after = without((draft) => removeReaction(draft, 'bridge' as never))
    expect(sayRemoved('Bridges everywhere', ['bridge'], chart, after)).toBe(
      'Removed Bridges everywhere. Undo takes that back.',
    )
  })

  it('are the moves from and to a position, and answers to what is left', () => {
    const after = without((draft) => removePosition(draft, 'mount' as never))
    expect([after.moves, after.positions.length]).toEqual([[], 1])
    expect(sayRemoved('Mount', ['mount'], chart, after)).toBe(
      'Removed Mount with 2 moves and 2 answers. Undo takes that back.',
    )
    const both = without((draft) => draft.positions.splice(0))
    expect(sayRemoved('2 positions', ['side', 'mount'], chart, both)).toBe('Removed 2 positions. Undo takes that back.')
    expect(sayRemoved('Mount', ['mount'], chart, both)).toBe('Removed Mount with 1 position. Undo takes that back.')
  })
})
