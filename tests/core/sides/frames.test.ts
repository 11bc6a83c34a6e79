import { LIMBS, PEOPLE, type Limb } from '../../../src/core/chart/words'
import { produce } from 'immer'
import { moveIn, positionIn } from '../../../src/core/chart/edits/find'
import type { MoveId, PositionId } from '../../../src/core/chart/ids'
import { frameOf, FRAMES, limbInWords, sideWords, type Orientation } from '../../../src/core/sides/frames'
import { landedSides, sidesDisagree, turned, TURN_IDS } from '../../../src/core/sides/turns'
import { demoPlan } from '../../fixtures/demoPlan'
import { mirrorText } from '../../../src/core/sides/mirror'

const SIDES = ['left', 'right', undefined] as const

/** Every orientation of every frame. */
const all = FRAMES.flatMap(({ id, facts }) => {
  let orientations: Orientation[] = [{}]
  for (const { key } of facts) {
    orientations = orientations.flatMap((one) => SIDES.map((side) => (side ? { ...one, [key]: side } : one)))
  }
  if (id === 'back') orientations = orientations.flatMap((one) => [one, { ...one, out: 'yes' }])
  return orientations.map((orientation) => ({ id, orientation }))
})
const mirrored = (orientation: Orientation): Orientation =>
  Object.fromEntries(Object.entries(orientation).map(([key, value]) => [key, mirrorText(String(value))]))

describe('the words of the back', () => {
  /** Over arm, side on the mat; our top arm, our bottom hook, their top arm. */
  it.each([
    ['right', 'left', 'right-hand', 'left-foot', 'right-hand'],
    ['right', 'right', 'left-hand', 'right-foot', 'left-hand'],
    ['left', 'right', 'left-hand', 'right-foot', 'left-hand'],
    ['left', 'left', 'right-hand', 'left-foot', 'right-hand'],
  ])('over %s, lying on the %s', (over, down, topArm, bottomHook, theirTop) => {
    const words = (by: 'ours' | 'theirs', limb: string) => sideWords('back', { over, down }, by, limb as Limb)
    expect(words('ours', `${over}-hand`)[0]).toBe('over')
    expect(words('ours', topArm)).toContain('top')
    expect(words('ours', bottomHook)).toEqual(['bottom'])
    expect(words('theirs', theirTop)).toEqual(['top'])
  })

  it('has no top and bottom while nobody lies on a side, and no sides where the frame has none', () => {
    for (const limb of LIMBS) {
      for (const by of PEOPLE) {
        const words = sideWords('back', { over: 'left' }, by, limb)
        expect(words.filter((word) => ['top', 'bottom'].includes(word))).toEqual([])
        expect(sideWords('mount', { over: 'left', near: 'right' }, by, limb)).toEqual([])
        expect(sideWords('nowhere', {}, by, limb)).toEqual([])
      }
    }
    expect(limbInWords('back', { over: 'left', down: 'left' }, 'ours', 'left-hand')).toBe('over hand (bottom)')
    expect(limbInWords('mount', {}, 'theirs', 'left-hand')).toBe('left hand')
    expect(limbInWords('side', { near: 'left' }, 'ours', 'head')).toBe('head')
  })

  it('changes with a roll and a swap of the arms, and the limbs do not', () => {
    const before = { over: 'right', down: 'left' }
    expect(turned(before, ['roll'])).toEqual({ over: 'right', down: 'right' })
    expect(sideWords('back', turned(before, ['roll']), 'ours', 'right-hand')).toEqual(['over', 'bottom'])
    expect(turned(before, ['swap'])).toEqual({ over: 'left', down: 'left' })
    expect(sideWords('back', turned(before, ['swap']), 'ours', 'right-hand')).toEqual(['under', 'top'])
    expect(turned(before, ['up'])).toEqual({ over: 'right' })
    expect(turned(before, ['face'])).toEqual({})
  })

  it('says choking arm and other arm once the under arm is out, until a landing says which arm is over', () => {
    const out = turned({ over: 'right', down: 'left' }, ['out'])
    expect(sideWords('back', out, 'ours', 'right-hand')).toEqual(['choking', 'top'])
    expect(sideWords('back', out, 'ours', 'left-hand')).toEqual(['other', 'bottom'])
    expect(landedSides(out, {})).toEqual(out)
    expect(landedSides(out, { down: 'right' })).toEqual({ ...out, down: 'right' })
    expect(landedSides(out, { over: 'left' })).toEqual({ over: 'left', down: 'left' })
  })
})

test('beside someone on the back the near arm meets our hip side, beside a turtle our head side', () => {
  expect(sideWords('side', { near: 'right' }, 'theirs', 'right-hand')).toEqual(['near'])
  expect(sideWords('side', { near: 'right' }, 'ours', 'right-hand')).toEqual(['hip-side'])
  expect(sideWords('side', { near: 'right' }, 'ours', 'left-knee')).toEqual(['head-side'])
  expect(sideWords('turtle', { near: 'right' }, 'ours', 'right-hand')).toEqual(['head-side'])
  expect(sideWords('side', turned({ near: 'right' }, [], true), 'theirs', 'right-hand')).toEqual(['far'])
  expect(sideWords('headlock', { choking: 'left' }, 'ours', 'left-elbow')).toEqual(['choking'])
  expect(sideWords('headlock', { choking: 'left' }, 'ours', 'left-knee')).toEqual([])
  expect(sideWords('standing', { lead: 'left', theirLead: 'right' }, 'theirs', 'left-foot')).toEqual(['rear'])
})

describe('every frame in every orientation', () => {
  it('says the same of the limb on the other side when it is flipped, and itself when flipped twice', () => {
    expect(all.length).toBeGreaterThan(30)
    for (const { id, orientation } of all) {
      expect(mirrored(mirrored(orientation))).toEqual(orientation)
      for (const by of PEOPLE) {
        for (const limb of LIMBS) {
          const other = mirrorText(limb) as Limb
          expect(sideWords(id, mirrored(orientation), by, other)).toEqual(sideWords(id, orientation, by, limb))
        }
      }
    }
  })

  it('is flipped before or after a turn alike, and is itself after two rolls, swaps or crossings', () => {
    for (const { orientation } of all) {
      for (const across of [false, true]) {
        for (const turn of TURN_IDS) {
          const turn_ = (sides: Orientation) => turned(sides, [turn], across)
          expect(mirrored(turn_(orientation))).toEqual(turn_(mirrored(orientation)))
          if (turn === 'roll' || turn === 'swap') expect(turn_(turn_(orientation))).toEqual(orientation)
        }
      }
    }
  })

  it('tells two limbs of a person apart as soon as it is known', () => {
    for (const { id, facts } of FRAMES) {
      for (const { key, gives } of facts) {
        for (const { by, named, other, out } of gives) {
          expect(named).not.toBe(other)
          const limb = gives[0].limbs === 'legs' ? 'foot' : 'hand'
          const words = (['left', 'right'] as const).map((side) =>
            sideWords(id, { [key]: 'left', ...(out ? { out: 'yes' } : {}) }, by, `${side}-${limb}`),
          )
          expect(words).toEqual([[named], [other]])
        }
      }
    }
    expect(frameOf('back')?.name).toBe('on their back')
  })
})

test('a landing on another side than the move brings is told, and a move that turns is not', () => {
  const demo = demoPlan()
  const [from, to, move] = ['back-seatbelt-on', 'back-over-side', 'roll-them'] as const
  const chart = produce(demo, (draft) => {
    positionIn(draft, from as PositionId).orientation = { over: 'right', down: 'left' }
    draft.moves.push({ ...draft.moves[0], id: move as MoveId, from: from as PositionId, to: to as PositionId })
  })
  const record = (of: typeof chart) => of.moves.find(({ id }) => id === move)!
  expect(sidesDisagree(chart, record(chart))).toEqual([
    { ask: 'which side is on the mat', brings: 'left', landing: 'right' },
  ])
  const rolled = produce(chart, (draft) => void (moveIn(draft, move as MoveId).turns = { roll: true }))
  expect(sidesDisagree(rolled, record(rolled))).toEqual([])
  const swapped = produce(rolled, (draft) => void (moveIn(draft, move as MoveId).turns!.swap = true))
  expect(sidesDisagree(swapped, record(swapped))).toHaveLength(1)
  for (const one of demo.moves) expect(sidesDisagree(demo, one)).toEqual([])
})
