import type { Chart } from '../../../src/core/chart/chart'
import * as holds from '../../../src/core/chart/edits/holds'
import { setGate } from '../../../src/core/chart/edits/checkpoints'
import type { Hold } from '../../../src/core/chart/hold'
import type { HoldId, MoveId, PositionId } from '../../../src/core/chart/ids'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const [side, mount] = ['side', 'mount'] as PositionId[]
const step = 'step' as MoveId
let chart: Chart
let grip: HoldId
beforeEach(() => {
  chart = taken(readChart(soundChart()))
  grip = holds.addHold(chart, { name: 'Grip', limbs: ['right-hand'], on: 'left-wrist' })
})
afterEach(() => expect(readChart(chart)).toMatchObject({ ok: true }))
const on = (id: PositionId) => chart.positions.find((one) => one.id === id)!.holds

describe('a hold', () => {
  it('is added under a free id, also to a chart without any', () => {
    expect([grip, holds.addHold(chart, { name: 'Grip', limbs: ['head'] })]).toEqual(['grip', 'grip-2'])
    expect(chart.holds!.map(({ id }) => id)).toEqual(['cross', 'frame', 'grip', 'grip-2'])
    const bare = { ...chart }
    delete bare.holds
    holds.addHold(bare, { name: 'First', limbs: ['head'] })
    expect(bare.holds!.map(({ id }) => id)).toEqual(['first'])
  })

  it('is put on in a position once, and a limb of the same person that it takes lets go', () => {
    expect(holds.putOn(chart, side, 'grip')).toEqual([])
    expect(holds.putOn(chart, side, 'grip')).toEqual([])
    expect(on(side)).toEqual(['cross', 'grip'])
    const elbow = holds.addHold(chart, { name: 'Elbow', limbs: ['left-elbow', 'chest'] })
    expect(holds.putOn(chart, side, elbow)).toEqual(['cross'])
    expect(on(side)).toEqual(['grip', 'elbow'])
    expect(holds.putOn(chart, side, 'frame')).toEqual([])
    expect(() => holds.putOn(chart, side, 'nothing')).toThrow('the hold "nothing" is no longer there')
  })

  it('is taken off; a position without any has no list', () => {
    holds.putOn(chart, side, 'grip')
    holds.takeOff(chart, side, 'cross')
    expect(on(side)).toEqual(['grip'])
    holds.takeOff(chart, side, 'grip')
    expect(chart.positions[0]).not.toHaveProperty('holds')
    holds.takeOff(chart, mount, 'grip')
    expect(chart.positions[1]).not.toHaveProperty('holds')
  })

  it('that only the Shelf knows comes into the chart when it is put on, once', () => {
    const more = [{ id: 'hook', name: 'Hook', limbs: ['left-foot'] }] as Hold[]
    holds.putOnKnown(chart, mount, 'hook', more)
    holds.putOnKnown(chart, side, 'hook', more)
    expect([on(mount), on(side)]).toEqual([['hook'], ['cross', 'hook']])
    expect(chart.holds!.filter(({ id }) => id === 'hook')).toEqual(more)
    expect(chart.holds!.at(-1)).not.toBe(more[0])
    holds.putOnKnown(chart, mount, 'grip', more)
    expect(on(mount)).toEqual(['hook', 'grip'])
    delete chart.holds
    chart.positions.forEach((one) => delete one.holds)
    holds.putOnKnown(chart, mount, 'hook', more)
    expect(chart.holds).toEqual(more)
  })

  it('denies a capability by so much, and no longer at 0', () => {
    holds.setDenial(chart, 'grip', 'bridge', 0.5)
    holds.setDenial(chart, 'grip', 'turn-in', 0.2)
    holds.setDenial(chart, 'grip', 'bridge', 0.7)
    expect(holds.holdIn(chart, 'grip').denies).toEqual([
      { capability: 'turn-in', strength: 0.2 },
      { capability: 'bridge', strength: 0.7 },
    ])
    holds.setDenial(chart, 'grip', 'turn-in', 0)
    holds.setDenial(chart, 'grip', 'bridge', 0)
    expect(holds.holdIn(chart, 'grip')).not.toHaveProperty('denies')
  })

  it('takes other limbs: what they did in its positions goes, and a move that would use one twice forbids it', () => {
    holds.putOn(chart, side, 'grip')
    holds.setLimbs(chart, 'grip', ['left-elbow'])
    expect([holds.holdIn(chart, 'grip').limbs, on(side)]).toEqual([['left-elbow'], ['grip']])
    holds.setLimbs(chart, 'grip', [])
    expect(holds.holdIn(chart, 'grip').limbs).toEqual(['left-elbow'])
    holds.setLimbs(chart, 'grip', ['right-hand'])
    chart.moves[0].adds = ['grip', 'cross'] as HoldId[]
    expect(() => holds.setLimbs(chart, 'grip', ['left-elbow'])).toThrow(
      '“Step over” puts “Cross-face” on too, with the same limb',
    )
    holds.setLimbs(chart, 'grip', ['right-elbow'])
    chart.moves[0].adds = ['cross'] as HoldId[]
    holds.setLimbs(chart, 'grip', ['left-elbow'])
    expect(holds.holdIn(chart, 'grip').limbs).toEqual(['left-elbow'])
  })

  it('goes with all that names it', () => {
    holds.putOn(chart, side, 'grip')
    Object.assign(chart.moves[0], { adds: [grip], needs: ['cross', grip], drops: [grip], keeps: ['cross'] })
    chart.moves[0].checkpoints = [
      { id: 'a', text: 'A' },
      { id: 'b', text: 'B' },
      { id: 'c', text: 'C' },
    ]
    setGate(chart, step, 'a', 'grip', 'cross')
    setGate(chart, step, 'b', 'cross', 'grip')
    setGate(chart, step, 'c', 'cross', 'cross')
    chart.reactions[0].strips = [grip]
    holds.removeHold(chart, 'grip')
    expect(chart.moves[0]).toMatchObject({ needs: ['cross'], keeps: ['cross'] })
    for (const field of ['adds', 'drops']) expect(chart.moves[0]).not.toHaveProperty(field)
    expect(chart.moves[0].checkpoints.map(({ gate }) => gate)).toEqual([
      undefined,
      undefined,
      { hold: 'cross', next: 'cross' },
    ])
    expect(chart.reactions[0]).not.toHaveProperty('strips')
    expect([on(side), chart.holds!.map(({ id }) => id)]).toEqual([['cross'], ['cross', 'frame']])
    expect(() => holds.removeHold(chart, 'grip')).toThrow('the hold "grip" is no longer there')
  })
})

describe('what is done with holds', () => {
  it('is set on a move or a reaction; an empty list goes', () => {
    holds.setHolds(chart, 'moves', 'step', 'needs', ['cross'])
    holds.setHolds(chart, 'reactions', 'bridge', 'strips', ['cross', 'grip'])
    expect([chart.moves[0].needs, chart.reactions[0].strips]).toEqual([['cross'], ['cross', 'grip']])
    holds.setHolds(chart, 'moves', 'step', 'needs', [])
    expect(chart.moves[0]).not.toHaveProperty('needs')
    expect(() => holds.setHolds(chart, 'moves', 'step', 'needs', ['nothing'])).toThrow('no longer there')
    expect(() => holds.setHolds(chart, 'reactions', 'nothing', 'strips', [])).toThrow('the reaction "nothing"')
  })

  it('cannot put two on with one limb; needing both is no matter', () => {
    const elbow = holds.addHold(chart, { name: 'Elbow', limbs: ['left-elbow'] })
    expect(() => holds.setHolds(chart, 'moves', 'step', 'adds', [grip, 'cross', elbow])).toThrow(
      '“Cross-face” and “Elbow” take the same limb: Step over cannot put both on',
    )
    expect(chart.moves[0]).not.toHaveProperty('adds')
    holds.setHolds(chart, 'moves', 'step', 'drops', ['cross', elbow])
    expect(chart.moves[0].drops).toEqual(['cross', elbow])
  })
})
