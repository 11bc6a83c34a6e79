import { produce } from 'immer'
import { generateChart, seeded } from '../../../bench/generate'
import { addHold, holdIn, putOn, removeHold, setDenial, setLimbs, takeOff } from '../../../src/core/chart/edits/holds'
import type { Chart } from '../../../src/core/chart/chart'
import type { PositionId } from '../../../src/core/chart/ids'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf } from '../../../src/core/game/scenario'
import { HoldTable } from '../../../src/core/holds/holdTable'
import { taken } from '../../reference/taken'
import { checkReferences } from '../../../src/core/chart/references'
import { LIMBS } from '../../../src/core/chart/words'
import { freeLimbs, holdsForFrame, nextHolds, smallestShuttingSet } from '../../../src/core/holds/oneMore'
import { gradeOf, pinCheck, reopenedBy } from '../../../src/core/holds/pinCheck'
import { leftWords, limbsWords, limbWords, partNamed } from '../../../src/core/holds/limbWords'
import { demoPlan } from '../../fixtures/demoPlan'

const demo = demoPlan()
const side = 'side-control-head-and-far-arm' as PositionId
const low = 'side-control-hips-low' as PositionId
const back = 'back-seatbelt-on' as PositionId
const leftOf = (chart: Chart, at: PositionId, reaction: string, holds?: string[]) =>
  pinCheck(chart, at, holds).escapes.find((escape) => escape.reaction === reaction)!

describe('the pin check', () => {
  it('says what is left of each escape, and which hold stands in its way', () => {
    expect(leftOf(demo, low, 'frames-and-hips-out')).toMatchObject({
      ...{ left: 0.5, by: ['left-knee-on-the-near-hip'], isUnprompted: true, isHindrable: true },
      moves: ['cross-face-and-underhook', 'both-arms-across', 'hide-the-near-elbow'],
    })
    expect(leftOf(demo, low, 'turns-to-the-knees')).toMatchObject({ left: 1, by: [] })
    expect(leftOf(demo, 'back-under-side' as PositionId, 'tucks-the-chin')).toMatchObject({
      left: 1,
      isHindrable: false,
      isUnprompted: false,
    })
  })

  it('answers for hips, shoulders and face, and for whatever else is denied', () => {
    const { capabilities } = pinCheck(demo, side)
    const left = Object.fromEntries(capabilities.map((state) => [state.capability, state.left]))
    expect(left).toMatchObject({ 'hip-in': 0.5, bridge: 0.7, 'turn-in': 0.6, 'turn-away': 0.5, look: 0.4 })
    expect(pinCheck(demo, 'back-top-arm-trapped' as PositionId).capabilities).toContainEqual({
      ...{ capability: 'right-hand', by: ['right-leg-over-the-right-arm'] },
      left: expect.closeTo(0.2),
    })
  })

  it('multiplies what several holds take, and takes the best way out where any will do', () => {
    const chart = produce(demo, (draft) => {
      setDenial(draft, 'seatbelt', 'left-hand', 0.9)
      setDenial(draft, 'left-hook', 'left-hand', 0.5)
    })
    expect(leftOf(chart, back, 'fights-the-hands').left).toBe(1)
    const state = pinCheck(chart, back).capabilities.find(({ capability }) => capability === 'left-hand')!
    expect(state.left).toBeCloseTo(0.05)
    expect(state.by).toEqual(['seatbelt', 'left-hook'])
    expect(gradeOf(state.left)).toBe('shut')
  })

  it('tells which escapes letting go would reopen', () => {
    expect(reopenedBy(demo, low, 'left-knee-on-the-near-hip').map(({ name }) => name)).toEqual(['Frames and hips out'])
    expect(reopenedBy(demo, side, 'right-arm-under-the-head').map(({ reaction }) => reaction)).toEqual(['turns-in-2'])
  })
})

describe('one more control', () => {
  it('is of a limb that is free, and the one that takes most comes first', () => {
    const found = nextHolds(demo, low)
    expect(found.map(({ hold }) => hold)).toContain('left-underhook-on-the-far-arm')
    for (const { hold, takes } of found) {
      expect(takes).toBeGreaterThan(0)
      const limbs = holdIn(structuredClone(demo), hold).limbs
      expect(limbs).not.toContain('left-knee')
    }
    found.forEach(({ takes }, i) => i && expect(takes).toBeLessThanOrEqual(found[i - 1].takes))
  })

  it('knows the holds of the frame and what is free beside them', () => {
    const known = holdsForFrame(demo, low).map(({ id }) => id)
    expect(known).toEqual(
      expect.arrayContaining(['left-knee-on-the-near-hip', 'right-arm-under-the-head', 'chest-on-the-chest']),
    )
    expect(known).not.toContain('seatbelt')
    expect(freeLimbs(demo, ['seatbelt'])).toEqual(['left-knee', 'right-knee', 'left-foot', 'right-foot'])
  })

  it('finds the fewest that shut all, as trying every set does', () => {
    const random = seeded(17)
    for (let n = 0; n < 12; n++) {
      const chart = generatedPin(random)
      const at = chart.positions[0].id
      const found = smallestShuttingSet(chart, at)!
      const { sets, open } = everySet(chart, at)
      const least = Math.min(...sets.map(open))
      expect(found.remaining).toHaveLength(least)
      if (least === 0)
        expect(found.holds).toHaveLength(Math.min(...sets.filter((set) => open(set) === 0).map(({ length }) => length)))
    }
  })
})

/** A position with escapes, and holds of the frame that deny some of what they use. */
function generatedPin(random: () => number): Chart {
  const chart = generateChart({ positions: 6, moves: 24, reactions: 10, seed: Math.floor(random() * 1e6), holds: 0 })
  const words = ['hip-in', 'turn-in', 'bridge', 'look']
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]
  for (const reaction of chart.reactions) reaction.uses = [pick(words)]
  chart.positions[0].holds = []
  for (let i = 0; i < 8; i++) {
    const denies = [{ capability: pick(words), strength: pick([0.5, 0.9, 1]) }]
    const id = addHold(chart, { name: `Hold ${i}`, limbs: [pick(LIMBS.slice(0, 5))], denies })
    chart.positions.push({ ...chart.positions[0], id: `with-${i}` as PositionId, holds: [id] })
  }
  return chart
}

function everySet(chart: Chart, at: PositionId) {
  const holds = holdsForFrame(chart, at)
  const sets = Array.from({ length: 1 << holds.length }, (_, bits) => holds.filter((_, i) => bits & (1 << i)))
    .filter((set) => new Set(set.flatMap(({ limbs }) => limbs)).size === set.flatMap(({ limbs }) => limbs).length)
    .map((set) => set.map(({ id }) => id))
  const open = (set: string[]) =>
    pinCheck(chart, at, set).escapes.filter(({ left, isHindrable }) => isHindrable && gradeOf(left) !== 'shut').length
  return { sets, open }
}

describe('what is done to holds', () => {
  const done = (change: (draft: Chart) => unknown) => produce(demo, (draft) => void change(draft))

  it('puts one on, and lets go of what the same limb did', () => {
    let off: string[] = []
    const chart = done((draft) => (off = putOn(draft, back, 'left-hand-on-the-left-wrist')))
    expect(off).toEqual(['seatbelt'])
    expect(chart.positions.find(({ id }) => id === back)!.holds).toEqual([
      'right-arm-over-the-shoulder',
      'right-hook',
      'left-hook',
      'left-hand-on-the-left-wrist',
    ])
    expect(checkReferences(chart)).toEqual([])
    const empty = produce(chart, (draft) => {
      for (const { id } of demo.holds!) takeOff(draft, back, id)
    })
    expect(empty.positions.find(({ id }) => id === back)).not.toHaveProperty('holds')
  })

  const addedWithAnother = new Set<string>(demo.moves.flatMap(({ adds = [] }) => (adds.length > 1 ? adds : [])))

  it('never leaves a limb with two jobs, whatever is put on and changed', () => {
    const random = seeded(23)
    for (let n = 0; n < 60; n++) {
      const chart = done((draft) => {
        for (let i = 0; i < 8; i++) {
          const position = draft.positions[Math.floor(random() * draft.positions.length)].id
          const hold = draft.holds![Math.floor(random() * draft.holds!.length)]
          if (random() < 0.7) putOn(draft, position, hold.id)
          else if (!addedWithAnother.has(hold.id)) {
            setLimbs(draft, hold.id, [LIMBS[Math.floor(random() * LIMBS.length)]])
          }
        }
      })
      expect(checkReferences(chart)).toEqual([])
    }
  })

  it('takes a hold away from everything that names it', () => {
    for (const { id } of demo.holds!) {
      const chart = done((draft) => removeHold(draft, id))
      expect(checkReferences(chart)).toEqual([])
      expect(JSON.stringify([chart.positions, chart.moves, chart.reactions])).not.toContain(`"${id}"`)
    }
  })

  it('refuses limbs that a move would need twice, and holds that are gone', () => {
    expect(() => done((draft) => setLimbs(draft, 'right-arm-under-the-head', ['left-hand']))).toThrow(/Cross-face/)
    expect(() => done((draft) => putOn(draft, back, 'nothing'))).toThrow('the hold "nothing" is no longer there')
    expect(
      done((draft) => setDenial(draft, 'seatbelt', 'turn-in', 0)).holds!.find(({ id }) => id === 'seatbelt'),
    ).not.toHaveProperty('denies')
  })
})

test('limbs and what is left are said as a coach would', () => {
  expect(limbsWords(['left-hand', 'right-hand'])).toBe('both hands')
  expect(limbsWords(['left-foot', 'right-foot', 'head'], 'our')).toBe('both our feet, our head')
  expect(limbsWords(['left-hand', 'right-knee'], 'their')).toBe('their left hand, their right knee')
  expect(limbWords('left-hip')).toBe('left hip')
  expect(['Left  hip ', 'neck', ''].map(partNamed)).toEqual(['left-hip', 'neck', ''])
  expect([0, 0.04, 0.5, 1].map(leftWords)).toEqual(['shut', 'works 1 time of 10', 'works 5 times of 10', 'open'])
})

describe('against random holds', () => {
  const random = seeded(41)
  const charts = Array.from({ length: 10 }, () => generatedPin(random))

  it('says what the game makes of it: what is left scales the tries that meet it', () => {
    for (const chart of charts) {
      const at = chart.positions[0].id
      const hold = chart.holds![Math.floor(random() * chart.holds!.length)].id
      const held = produce(chart, (draft) => void putOn(draft, at, hold))
      const { moves, reactions } = taken(compileGame(held, scenarioOf(held, { start: at, seconds: 10 }))).meaning.index
      const holds = new HoldTable(held.holds!)
      for (const { reaction, left } of pinCheck(held, at).escapes) {
        const record = reactions.find((one) => one.record.id === reaction)!.record
        expect(left).toBeCloseTo(holds.left(record, holds.setOf([hold]), 'ours'))
      }
      expect(moves.length).toBe(held.moves.length)
    }
  })

  it('promises of one more control exactly what it then takes', () => {
    for (const chart of charts) {
      const at = chart.positions[0].id
      const weigh = (of: Chart) => pinCheck(of, at).escapes.reduce((sum, { share, left }) => sum + share * left, 0)
      for (const { hold, takes, shuts, free } of nextHolds(chart, at)) {
        const held = produce(chart, (draft) => void putOn(draft, at, hold))
        expect(weigh(chart) - weigh(held)).toBeCloseTo(takes)
        const shut = (of: Chart) => pinCheck(of, at).escapes.filter(({ left }) => gradeOf(left) === 'shut')
        expect(shut(held).length - shut(chart).length).toBe(shuts.length)
        expect(free).toEqual(freeLimbs(held, held.positions[0].holds!))
      }
    }
  })

  it('reopens by letting go what putting on had taken', () => {
    for (const chart of charts) {
      const at = chart.positions[0].id
      for (const { hold } of nextHolds(chart, at)) {
        const held = produce(chart, (draft) => void putOn(draft, at, hold))
        const before = new Map(pinCheck(held, at).escapes.map(({ reaction, left }) => [reaction, left]))
        for (const { reaction, left } of reopenedBy(held, at, hold)) {
          expect(left - before.get(reaction)!).toBeGreaterThanOrEqual(0.1 - 1e-9)
        }
        expect(reopenedBy(held, at, 'no-such-hold')).toEqual([])
      }
    }
  })
})
