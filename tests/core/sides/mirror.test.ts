import fc from 'fast-check'
import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { diffOf } from '../../../src/core/document/diff'
import { addAnswer } from '../../../src/core/chart/edits/answers'
import { addHold, putOn, setDenial, setLimbs } from '../../../src/core/chart/edits/holds'
import { addPosition, removeMove, rename } from '../../../src/core/chart/edits/records'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import { checkReferences } from '../../../src/core/chart/references'
import { structureJob } from '../../../src/core/document/structure'
import { toEnd } from '../../../src/core/job'
import { makeChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { mirrorChart, mirrorText } from '../../../src/core/sides/mirror'
import { mirroredEdit } from '../../../src/core/sides/edits/mirroredEdit'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const seen = mirrorChart(demo)

describe('a text from the other side', () => {
  it.each([
    ['Left knee on the right hip', 'Right knee on the left hip'],
    ['LEFT, right; left-hand', 'RIGHT, left; right-hand'],
    ['upright, leftover, rightly', 'upright, leftover, rightly'],
    ['right after it, left behind, right there', 'right after it, left behind, right there'],
    ['right afterwards', 'left afterwards'],
  ])('%s', (text, other) => expect(mirrorText(text)).toBe(other))

  it('is itself again from there', () => {
    const words = fc.constantFrom(
      'left',
      'Right',
      'RIGHT',
      'lEft',
      'after',
      'away',
      'hand',
      '-',
      ',',
      ' ',
      'right-hip',
      '\n',
    )
    fc.assert(
      fc.property(fc.array(words), (parts) => {
        const text = parts.join(' ')
        expect(mirrorText(mirrorText(text))).toBe(text)
      }),
      { seed: 3, numRuns: 500 },
    )
  })
})

describe('a chart from the other side', () => {
  it('is itself again from there, to the byte', () => {
    expect(mirrorChart(seen)).toBe(demo)
    expect(makeChart(mirrorChart(structuredClone(seen)))).toBe(makeChart(demo))
  })

  it('has every left and right the other way, and every id as it was', () => {
    expect(seen.holds![2]).toEqual({
      ...{
        id: 'left-knee-on-the-near-hip',
        name: 'Right knee on the near hip',
        limbs: ['right-knee'],
        on: 'right-hip',
      },
      denies: [{ capability: 'hip-in', strength: 0.5 }],
    })
    const back = seen.positions.find(({ id }) => id === 'back-over-side')!
    expect(back.orientation).toEqual({ over: 'left', down: 'left' })
    expect(seen.positions.map(({ id, holds }) => [id, holds])).toEqual(
      demo.positions.map(({ id, holds }) => [id, holds]),
    )
    expect(seen.settings).toEqual(demo.settings)
    expect(checkReferences(seen)).toEqual([])
    expect(toEnd(structureJob(CHART_KIND, seen))).toEqual([])
  })

  it('is worth exactly as much, move by move', () => {
    const scenario = scenarioOf(demo)
    expect(taken(figuresOf(seen, scenario)).figures).toEqual(taken(figuresOf(demo, scenario)).figures)
  })
})

describe('an edit from the other side', () => {
  const at = 'side-control-hips-low' as PositionId
  const edits: [name: string, seen: (chart: Chart) => unknown, kept?: (chart: Chart) => unknown][] = [
    [
      'a rename',
      (chart) => rename(chart, 'positions', at, 'Left side control'),
      (chart) => rename(chart, 'positions', at, 'Right side control'),
    ],
    ['a move less', (chart) => removeMove(chart, 'americana' as MoveId)],
    ['an answer more', (chart) => addAnswer(chart, 'bridges-over-us' as ReactionId, 'americana' as MoveId)],
    ['a position more', (chart) => addPosition(chart, { name: 'Cradle', family: 'cradle', ahead: 'ours' })],
    ['a hold on', (chart) => putOn(chart, at, 'left-underhook-on-the-far-arm')],
    [
      'other limbs',
      (chart) => setLimbs(chart, 'left-hook', ['left-knee']),
      (chart) => setLimbs(chart, 'left-hook', ['right-knee']),
    ],
    [
      'a sided denial',
      (chart) => setDenial(chart, 'seatbelt', 'left-hand', 1),
      (chart) => setDenial(chart, 'seatbelt', 'right-hand', 1),
    ],
    ['the holds gone', (chart) => void delete chart.holds],
  ]
  it.each(edits)('is done to what is kept: %s', (_, edit, same = edit) => {
    const done = produce(demo, (draft) => mirroredEdit((chart) => void edit(chart))(draft as Chart))
    const wanted = produce(demo, (draft) => void same(draft as Chart))
    expect(done).toEqual(wanted)
    expect(mirrorChart(done)).toEqual(produce(seen, (draft) => void edit(draft as Chart)))
  })

  it('leaves alone what it does not touch, so that a step stays small', () => {
    const done = produce(demo, (draft) =>
      mirroredEdit((chart) => void addHold(chart, { name: 'Left grip', limbs: ['left-hand'] }))(draft as Chart),
    )
    expect(done.moves).toBe(demo.moves)
    expect(done.holds!.slice(0, -1).every((hold, i) => hold === demo.holds![i])).toBe(true)
    expect(done.holds![done.holds!.length - 1]).toEqual({ id: 'left-grip', name: 'Right grip', limbs: ['right-hand'] })
    expect(JSON.stringify(diffOf(CHART_KIND, demo, done)).length).toBeLessThan(300)
    const nothing = produce(demo, (draft) => mirroredEdit(() => undefined)(draft as Chart))
    expect(nothing).toBe(demo)
  })
})
