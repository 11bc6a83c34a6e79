import type { Chart } from '../../../src/core/chart/chart'
import { addAnswer, addNewAnswer, answersTo, removeAnswer, shiftAnswer } from '../../../src/core/chart/edits/answers'
import {
  addCheckpoint,
  removeCheckpoint,
  setCheckpoint,
  setFault,
  shiftCheckpoint,
} from '../../../src/core/chart/edits/checkpoints'
import { answerRefAt } from '../../../src/core/chart/edits/find'
import * as records from '../../../src/core/chart/edits/records'
import {
  borrowTries,
  partCount,
  partsOf,
  setTries,
  setRace,
  setUnprompted,
  withPart,
} from '../../../src/core/chart/edits/tries'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { reactionsMet, type Tries } from '../../../src/core/chart/tries'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const [side, mount] = ['side', 'mount'] as PositionId[]
const step = 'step' as MoveId
const bridge = 'bridge' as ReactionId

let chart: Chart
beforeEach(() => (chart = taken(readChart(soundChart()))))
afterEach(() => expect(readChart(chart)).toMatchObject({ ok: true }))

const the = (index: number) => answerRefAt(chart, index)
const americana = () =>
  records.addMove(chart, { name: 'Americana', kind: 'submission', from: side, to: 'finish', tries: { lands: 1 } })

describe('a position', () => {
  it('gets a free id from its name', () => {
    expect(records.addPosition(chart, { name: 'Mount', family: 'mount', ahead: 'ours' })).toBe('mount-2')
  })

  it('goes with all that begins, lands or ends in it', () => {
    chart.moves[0].tries!.elsewhere = { mount: 1 }
    americana()
    records.removePosition(chart, mount)
    expect(chart.positions.map(({ id }) => id)).toEqual(['side'])
    expect(chart.moves.map(({ id }) => id)).toEqual(['americana'])
    records.removePosition(chart, side)
    expect([chart.moves, chart.reactions, chart.answers]).toEqual([[], [], []])
  })

  it('leaves tries that ended there, and mirrors, without it', () => {
    const other = records.addPosition(chart, { name: 'Other', family: 'side', ahead: 'ours' })
    chart.moves[0].tries!.elsewhere = { [other]: 2 }
    chart.moves[0].stallsIn = other
    chart.positions[0].mirror = other
    records.removePosition(chart, other)
    expect(chart.moves[0]).not.toHaveProperty('stallsIn')
    expect(chart.moves[0].tries!.elsewhere).toEqual({})
    expect(chart.positions[0]).not.toHaveProperty('mirror')
  })

  it('changes places with another', () => {
    records.swapPositions(chart, mount, side)
    expect(chart.positions.map(({ id }) => id)).toEqual(['mount', 'side'])
    records.swapPositions(chart, mount, side)
    expect(chart.positions.map(({ id }) => id)).toEqual(['side', 'mount'])
  })
})

describe('a move', () => {
  it('goes with the answers that it is', () => {
    records.removeMove(chart, step)
    expect([chart.moves, chart.answers]).toEqual([[], []])
    expect(chart.reactions).toHaveLength(1)
  })

  it('goes before another, or last', () => {
    const id = americana()
    records.moveMove(chart, id, step)
    expect(chart.moves.map((move) => move.id)).toEqual(['americana', 'step'])
    records.moveMove(chart, id, null)
    expect(chart.moves.map((move) => move.id)).toEqual(['step', 'americana'])
  })

  it('is renamed, as positions and reactions are; what is gone is told', () => {
    records.rename(chart, 'moves', 'step', 'Mount up')
    records.rename(chart, 'positions', 'side', 'Cross-side')
    records.rename(chart, 'reactions', 'bridge', 'Bumps')
    expect([chart.moves[0].name, chart.positions[0].name, chart.reactions[0].name]).toEqual([
      'Mount up',
      'Cross-side',
      'Bumps',
    ])
    expect(() => records.rename(chart, 'moves', 'fly', 'Fly')).toThrow('the move "fly" is no longer there')
  })
})

describe('a reaction', () => {
  it('is met by more than one move, and goes when none meets it any more', () => {
    const id = americana()
    records.meetReaction(chart, id, bridge, 4)
    records.unmeetReaction(chart, step, bridge)
    expect(chart.reactions).toHaveLength(1)
    expect(chart.moves[0].tries).toEqual({ lands: 5, stalls: 5, reactions: {} })
    records.unmeetReaction(chart, id, bridge)
    expect([chart.reactions, chart.answers]).toEqual([[], []])
  })

  it('that is removed leaves its tries to nothing, and one landing where nothing else is left', () => {
    chart.positions[0].unprompted = { every: 8, reactions: { bridge: 1 } }
    chart.moves[0].tries = { reactions: { bridge: 4 } }
    const sure = americana()
    records.removeReaction(chart, bridge)
    expect(chart.moves[0].tries).toEqual({ lands: 1, stalls: 4, reactions: {} })
    expect(chart.moves.find(({ id }) => id === sure)!.tries).toEqual({ lands: 1 })
    expect(chart.positions[0]).not.toHaveProperty('unprompted')
  })

  it('that is removed takes the race for it along, of which half lands where there is nothing else', () => {
    chart.moves[0].tries = { lands: 2 }
    const other = records.addReaction(chart, step, 'Turns in', side)
    const race = { ours: 2.5, theirs: 2, tries: 6 }
    setRace(chart, { of: 'move', move: step }, { ...race, reaction: bridge })
    chart.answers[0] = { reaction: other, move: step }
    setRace(chart, { of: 'answer', answer: the(0) }, { ...race, reaction: bridge })
    records.removeReaction(chart, bridge)
    expect(chart.moves[0]).not.toHaveProperty('race')
    expect(chart.moves[0].tries!.lands).toBe(2)
    expect(chart.answers[0]).toEqual({ reaction: other, move: step, tries: { lands: 3 } })
  })

  it('that only a race is for is met by it, and no longer once it is taken out', () => {
    chart.moves[0].tries = { lands: 2 }
    chart.answers = []
    for (const position of chart.positions) delete position.unprompted
    setRace(chart, { of: 'move', move: step }, { reaction: bridge, ours: 2, theirs: 2, tries: 1 })
    expect(reactionsMet(chart.moves[0])).toEqual([bridge])
    records.unmeetReaction(chart, step, bridge)
    expect(chart.moves[0]).not.toHaveProperty('race')
    expect(chart.reactions.some(({ id }) => id === bridge)).toBe(false)
  })

  it('takes the order that it is given among its move’s', () => {
    const other = records.addReaction(chart, step, 'Turns in', side)
    records.orderReactions(chart, step, [other, bridge])
    expect(Object.keys(chart.moves[0].tries!.reactions!)).toEqual([other, bridge])
    records.orderReactions(chart, step, [])
    expect(Object.keys(chart.moves[0].tries!.reactions!)).toEqual([other, bridge])
  })
})

describe('an answer', () => {
  it('is added behind the others to its reaction, and moved among them', () => {
    const id = americana()
    const turns = records.addReaction(chart, step, 'Turns in', side)
    addAnswer(chart, turns, step)
    expect(addAnswer(chart, bridge, id, { lands: 1 })).toBe(1)
    expect(chart.answers.map(({ reaction, move }) => `${reaction} ${move}`)).toEqual([
      'bridge step',
      'bridge americana',
      'turns-in step',
    ])
    expect(shiftAnswer(chart, the(1), -1)).toBe(0)
    expect(answersTo(chart, bridge).map(({ answer, index }) => `${index} ${answer.move}`)).toEqual([
      '0 americana',
      '1 step',
    ])
    expect(shiftAnswer(chart, the(0), -1)).toBe(0)
    expect(shiftAnswer(chart, the(0), 1)).toBe(1)
  })

  it('may be a new move from where the reaction ends', () => {
    const index = addNewAnswer(chart, bridge, 'Knee slide', mount)
    expect(chart.answers[index].move).toBe('knee-slide')
    expect(chart.moves[1]).toMatchObject({ from: 'side', to: 'mount', kind: 'advance' })
    addNewAnswer(chart, bridge, 'Choke', 'finish')
    expect(chart.moves[2]).toMatchObject({ kind: 'submission' })
  })

  it('is found again where another tab has put others before it, and missed where it is gone', () => {
    const meant = the(0)
    const id = americana()
    chart.answers.unshift({ reaction: bridge, move: id })
    borrowTries(chart, meant)
    expect(chart.answers).toEqual([
      { reaction: 'bridge', move: 'americana' },
      { reaction: 'bridge', move: 'step' },
    ])
    removeAnswer(chart, meant)
    expect(chart.answers).toEqual([{ reaction: 'bridge', move: 'americana' }])
    expect(() => removeAnswer(chart, meant)).toThrow('the answer "step" is no longer there')
    expect(() => borrowTries(chart, meant)).toThrow('no longer there')
    expect(() => setTries(chart, { of: 'answer', answer: meant }, {})).toThrow('no longer there')
  })
})

describe('tries', () => {
  it('are set part by part, in the order of the strip', () => {
    const tries = { lands: 1, stalls: 2, elsewhere: { mount: 3 }, reactions: { bridge: 4 } }
    const parts = partsOf(tries)
    expect(parts.map((part) => [part.part, partCount(tries, part)])).toEqual([
      ['lands', 1],
      ['elsewhere', 3],
      ['reaction', 4],
      ['stalls', 2],
    ])
    const next = parts.reduce<Tries>((all, part, i) => withPart(all, part, i + 10), tries)
    expect(next).toEqual({ lands: 10, stalls: 13, elsewhere: { mount: 11 }, reactions: { bridge: 12 } })
    setTries(chart, { of: 'answer', answer: the(0) }, { lands: 3 })
    expect(chart.answers[0].tries).toEqual({ lands: 3 })
  })

  it('unprompted are there only while something is', () => {
    setUnprompted(chart, side, 8, { bridge: 2 })
    expect(chart.positions[0].unprompted).toEqual({ every: 8, reactions: { bridge: 2 } })
    setUnprompted(chart, side, 8, { bridge: 0 })
    expect(chart.positions[0]).not.toHaveProperty('unprompted')
  })
})

describe('checkpoints', () => {
  it('are added, changed, ordered and removed, with what reactions break', () => {
    const first = addCheckpoint(chart, step, 'Elbow off the ribs')
    const second = addCheckpoint(chart, step, 'Elbow off the ribs')
    expect([first, second]).toEqual(['elbow-off-the-ribs', 'elbow-off-the-ribs-2'])
    setCheckpoint(chart, step, first, 'test', ' the knee touches ')
    setFault(chart, step, first, 'mistake', 'hips face up')
    shiftCheckpoint(chart, step, first, 1)
    shiftCheckpoint(chart, step, first, 1)
    expect(chart.moves[0].checkpoints).toEqual([
      { id: second, text: 'Elbow off the ribs' },
      {
        id: first,
        text: 'Elbow off the ribs',
        test: 'the knee touches',
        fault: { mistake: 'hips face up', result: '', fix: '' },
      },
    ])
    setCheckpoint(chart, step, first, 'test', '')
    setFault(chart, step, first, 'mistake', '')
    expect(chart.moves[0].checkpoints![1]).toEqual({ id: first, text: 'Elbow off the ribs' })
    chart.reactions[0].breaks = [first, second]
    removeCheckpoint(chart, step, first)
    expect(chart.reactions[0].breaks).toEqual([second])
    expect(() => removeCheckpoint(chart, step, 'gone')).toThrow('no longer there')
  })
})
