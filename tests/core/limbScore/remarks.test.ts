import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { lookUp } from '../../../src/core/chart/lookUp'
import type { Move } from '../../../src/core/chart/move'
import type { RunStep } from '../../../src/core/chart/run'
import { remarksOn } from '../../../src/core/limbScore/remarks'
import { demoPlan } from '../../fixtures/demoPlan'

const demo = demoPlan()
const RUN = 'two-arms-and-the-roll'
const changed = (change: (draft: Chart) => unknown) => produce(demo, (draft) => void change(draft))
const move = (chart: Chart, id: string): Move => chart.moves.find((one) => one.id === id)!
const remarks = (chart: Chart, id = RUN) => remarksOn(chart, lookUp(chart.runs, id)!)
const first = (chart: Chart, id = RUN) => remarks(chart, id)[0]

/** What a coach reads, with the step and the fix. */
describe('a remark says what is wrong, where, and what would mend it', () => {
  it('a limb that would do two jobs', () => {
    const chart = changed((draft) => (move(draft, 'hand-to-the-neck').adds = ['left-hand-behind-the-head' as never]))
    expect(first(chart)).toMatchObject({
      ...{ kind: 'two-jobs', step: 6 },
      says: 'Our left hand would do two jobs: “Left hand on their left wrist” and “Left hand behind their head”.',
      fix: 'Say that this step lets go of “Left hand on their left wrist”, or take the new hold with another limb.',
    })
  })

  it('a hold that is needed and was let go of, or never taken', () => {
    const lost = changed((draft) => move(draft, 'lock-the-legs').drops!.push('right-hand-on-the-left-wrist' as never))
    expect(remarks(lost)).toContainEqual(
      expect.objectContaining({
        ...{ kind: 'missing', step: 5 },
        says: 'Hand the wrist over needs “Right hand on their left wrist”, which step 4 let go of.',
        fix: 'Keep it on at step 4, or take it again before step 5.',
      }),
    )
    const never = changed((draft) => (move(draft, 'cross-the-wrists').needs = ['chest-on-the-chest' as never]))
    expect(first(never)).toMatchObject({
      says: 'Cross the wrists needs “Chest on their chest”, which is not on yet.',
      fix: 'Take it before step 1.',
    })
  })

  it('letting go before the next control is on', () => {
    const chart = changed((draft) => delete move(draft, 'leg-over-the-lifted-elbow').adds)
    const gate = { hold: 'left-hand-lifting-the-right-elbow', next: 'left-hand-behind-the-head' } as never
    const early = produce(chart, (draft) => void (move(draft, 'leg-over-the-lifted-elbow').checkpoints![1].gate = gate))
    expect(remarks(early)).toContainEqual(
      expect.objectContaining({
        ...{ kind: 'too-early', step: 3 },
        says: '“Left hand lifting their right elbow” is let go of before “Left hand behind their head” is on.',
      }),
    )
  })

  it('a control that cannot stay on when they face us', () => {
    const chart = changed((draft) => {
      const over = draft.positions.find(({ id }) => id === 'back-over-side-arms-held')!
      over.frame = 'side'
      over.holds = []
      move(draft, 'roll-with-the-bridge').keeps = ['right-leg-over-the-right-arm' as never]
    })
    expect(remarks(chart)).toContainEqual(
      expect.objectContaining({
        ...{ kind: 'frame', step: 7 },
        says: '“Right leg over their right arm” stays on in the chart, but they face us now: that leg meets their other side.',
      }),
    )
  })

  it('sides that the landing contradicts', () => {
    const chart = changed((draft) => delete move(draft, 'roll-with-the-bridge').turns)
    expect(first(chart)).toMatchObject({
      ...{ kind: 'sides', step: 7 },
      says: 'After Roll with the bridge, which side is on the mat is left; where it lands it is right.',
    })
  })

  it('a reaction with a limb that they do not have free', () => {
    const chart = changed((draft) => {
      draft.holds!.find(({ id }) => id === 'right-leg-over-the-right-arm')!.denies![0].strength = 1
      const steps = [{ move: 'choke-past-one-hand', reaction: 'pulls-the-arm-out' }] as RunStep[]
      draft.runs!.push({ id: 'pulled', name: 'Pulled', start: 'back-top-arm-trapped' as never, steps })
    })
    expect(first(chart, 'pulled')).toMatchObject({
      ...{ kind: 'impossible', step: 1 },
      says: 'Pulls the arm out cannot come: they cannot use the right hand, because of “Right leg over their right arm”.',
    })
  })

  it('a step that does not follow', () => {
    const chart = changed((draft) => void draft.runs!.find(({ id }) => id === RUN)!.steps.splice(0, 1))
    expect(remarks(chart).at(-1)).toMatchObject({
      ...{ kind: 'broken', step: 1 },
      says: 'The run cannot go on: Lift the top elbow is not done from here.',
    })
  })
})
