import { produce } from 'immer'
import { addMove } from '../../../src/core/chart/edits/records'
import type { PositionId } from '../../../src/core/chart/ids'
import { arrangementsOf, compareArrangements, switchingPlan } from '../../../src/core/holds/compareArrangements'
import { pinCheck } from '../../../src/core/holds/pinCheck'
import { demoPlan } from '../../fixtures/demoPlan'

const demo = demoPlan()
const low = 'side-control-hips-low' as PositionId
const far = 'side-control-head-and-far-arm' as PositionId
const arrangements = arrangementsOf(demo, low)
const compared = compareArrangements(demo, arrangements)

describe('arrangements of one pin', () => {
  it('are the positions of its frame in which something is held', () => {
    expect(arrangements.map(({ id }) => id)).toEqual([
      low,
      far,
      'side-control-arms-across',
      'side-control-thigh-checked',
      'two-on-the-far-arm',
      'scarf-hold',
    ])
    expect(arrangementsOf(demo, 'nowhere' as PositionId)).toEqual([])
    const frameless = produce(demo, (draft) => void delete draft.positions.find(({ id }) => id === low)!.frame)
    expect(arrangementsOf(frameless, low)).toEqual([])
  })

  it('leave of each escape what the pin check says, and one of them least', () => {
    for (const { reaction, left, best } of compared.escapes) {
      arrangements.forEach(({ id }, i) => {
        const own = pinCheck(demo, id).escapes.find((escape) => escape.reaction === reaction)
        if (own) expect(left[i]).toBeCloseTo(own.left)
      })
      if (best === null) expect(new Set(left).size).toBe(1)
      else expect(left[best]).toBe(Math.min(...left))
    }
    const knees = compared.escapes.find(({ reaction }) => reaction === 'turns-to-the-knees')!
    expect(knees).toMatchObject({ left: [1, 0.5, 0.6, 0.7, 0.7, 1], best: 1 })
  })

  it('say where to switch, and by which move', () => {
    const plan = switchingPlan(demo, low, compared)
    expect(plan).toContainEqual(
      expect.objectContaining({
        from: low,
        to: far,
        reaction: 'turns-to-the-knees',
        before: 1,
        after: 0.5,
        move: 'cross-face-and-underhook',
      }),
    )
    expect(plan).toContainEqual(
      expect.objectContaining({
        to: 'side-control-arms-across',
        reaction: 'bridges-into-us',
        move: 'both-arms-across',
      }),
    )
    for (const { before, after } of plan) expect(after).toBeLessThan(before)
    const without = produce(demo, (draft) => {
      draft.moves = draft.moves.filter(({ id }) => id !== 'cross-face-and-underhook')
      addMove(draft, {
        name: 'Elsewhere',
        kind: 'advance',
        from: low,
        to: 'knee-on-belly' as PositionId,
        tries: { lands: 1 },
      })
    })
    expect(
      switchingPlan(without, low, compareArrangements(without, arrangements)).find(({ to }) => to === far)!.move,
    ).toBeNull()
    expect(switchingPlan(demo, 'back-seatbelt-on' as PositionId, compared)).toEqual([])
  })
})
