import type { Hold } from '../../../src/core/chart/hold'
import { HoldTable, NO_HOLDS } from '../../../src/core/holds/holdTable'

const hold = (id: string, limbs: Hold['limbs'], more: Partial<Hold> = {}): Hold => ({
  ...{ id: id as Hold['id'], name: id, limbs },
  ...more,
})

const table = new HoldTable([
  hold('cross-face', ['left-elbow'], { denies: [{ capability: 'look', strength: 0.6 }] }),
  hold('underhook', ['left-hand', 'right-hand'], { denies: [{ capability: 'turn-in', strength: 0.5 }] }),
  hold('hip-block', ['left-knee'], {
    denies: [
      { capability: 'hip-in', strength: 0.8 },
      { capability: 'turn-in', strength: 0.2 },
    ],
  }),
  hold('wrist', ['left-hand'], { denies: [{ capability: 'right-hand', strength: 1 }] }),
  hold('frame', ['left-hand'], { by: 'theirs', denies: [{ capability: 'chest', strength: 0.25 }] }),
])
const set = (...ids: string[]) => table.setOf(ids)

describe('sets of holds', () => {
  it('come back as ids in the order of the chart', () => {
    expect(table.idsOf(set('wrist', 'cross-face'))).toEqual(['cross-face', 'wrist'])
    expect(table.idsOf(NO_HOLDS)).toEqual([])
  })

  it('settle: what is new stays, and takes its limbs from what was there', () => {
    expect(table.settle(set('underhook', 'hip-block'), set('wrist'))).toBe(set('hip-block', 'wrist'))
    expect(table.settle(set('cross-face'), set('wrist'))).toBe(set('cross-face', 'wrist'))
    expect(table.settle(set('underhook'), NO_HOLDS)).toBe(set('underhook'))
    expect(table.settle(NO_HOLDS, set('underhook'))).toBe(set('underhook'))
  })

  it('do not take a limb from the other person', () => {
    expect(table.settle(set('frame'), set('wrist'))).toBe(set('frame', 'wrist'))
    expect(table.sharingLimbs(set('wrist'))).toBe(set('underhook'))
  })

  it('know which of them deny what', () => {
    expect(table.denying('turn-in', 'ours')).toBe(set('underhook', 'hip-block'))
    expect(table.denying('turn-in', 'theirs')).toBe(NO_HOLDS)
    expect(table.denying('bridge', 'ours')).toBe(NO_HOLDS)
  })
})

describe('what is left', () => {
  const on = set('underhook', 'hip-block', 'cross-face')

  it('of a capability is the product over the holds that deny it', () => {
    expect(table.capabilityLeft('turn-in', on, 'ours')).toBeCloseTo(0.5 * 0.8)
    expect(table.capabilityLeft('bridge', on, 'ours')).toBe(1)
    expect(table.capabilityLeft('turn-in', on, 'theirs')).toBe(1)
  })

  it('of something that needs several is their product', () => {
    expect(table.left({ uses: ['turn-in', 'look'] }, on, 'ours')).toBeCloseTo(0.4 * 0.4)
  })

  it('of something that needs any is that of the best', () => {
    expect(table.left({ usesAny: ['turn-in', 'hip-in'] }, on, 'ours')).toBeCloseTo(0.4)
    expect(table.left({ usesAny: ['turn-in', 'bridge'] }, on, 'ours')).toBe(1)
    expect(table.left({ uses: ['look'], usesAny: ['turn-in', 'hip-in'] }, on, 'ours')).toBeCloseTo(0.4 * 0.4)
  })

  it('is nothing where one of them shuts it, and all where nothing is used', () => {
    expect(table.left({ uses: ['right-hand'] }, set('wrist'), 'ours')).toBe(0)
    expect(table.left({}, on, 'ours')).toBe(1)
    expect(table.left({ usesAny: [] }, on, 'ours')).toBe(1)
  })
})
