import { produce } from 'immer'
import type { MoveId, PositionId } from '../../../src/core/chart/ids'
import { holder } from '../../../src/core/chart/hold'
import { lookUp } from '../../../src/core/chart/lookUp'
import type { RunStep } from '../../../src/core/chart/run'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { alongRuns, scoredAlong } from '../../../src/core/questions/alongRuns'
import { sayLetGo } from '../../../src/core/say/giveUp'
import { play } from '../../../src/core/limbScore/play'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const minute = scenarioOf(demo, { seconds: 60 })
const nonzero = (counts: object) =>
  Object.fromEntries(Object.entries(counts).filter(([, n]) => typeof n === 'number' && n !== 0))

describe('what a run scores', () => {
  const step = (move: string, rest: Partial<RunStep> = {}): RunStep => ({ move: move as MoveId, ...rest })
  const place = (id: string, family: string, ahead: string) => ({ id, name: id, family, ahead })
  const chart = produce(demo, (draft) => {
    draft.positions = [
      place('feet', 'standing', 'even'),
      place('guard', 'guard', 'even'),
      place('side', 'side', 'ours'),
      place('mount', 'mount', 'ours'),
    ] as never
    const move = (id: string, kind: string, from: string, to: string) => ({
      id,
      name: id,
      kind,
      from,
      to,
      seconds: 4,
      tries: { lands: 1, stalls: 1, reactions: { turns: 1 } },
    })
    draft.moves = [
      move('trip', 'takedown', 'feet', 'guard'),
      move('pass', 'pass', 'guard', 'side'),
      move('mount-up', 'advance', 'side', 'mount'),
    ] as never
    draft.reactions = [{ id: 'turns', name: 'Turns', endsIn: 'guard' }] as never
    draft.answers = draft.holds = draft.runs = []
  })
  const scoredUnder = (rules: string | null, ...steps: RunStep[]) => {
    const found = scoredAlong(
      chart,
      rules,
      play(chart, { id: 'run', name: 'Run', start: 'feet' as PositionId, steps }).beats,
    )!
    return [nonzero(found.ours), nonzero(found.theirs)]
  }
  const scored = (...steps: RunStep[]) => scoredUnder(null, ...steps)

  it('counts what it comes to, once each, and time in control', () => {
    expect(scored(step('trip'), step('pass'), step('mount-up'))).toEqual([
      { takedown: 1, pass: 1, mount: 1, exposure: 1, controlSeconds: 4 },
      {},
    ])
    expect(scored(step('trip', { stalls: true }))).toEqual([{}, {}])
    expect(scored(step('trip'), step('pass', { reaction: 'turns' as never }), {}, step('pass'))[0]).toEqual({
      takedown: 1,
      pass: 1,
      exposure: 1,
    })
  })

  it('stays at the end until what must be held there has been', () => {
    const [ours] = scoredUnder('gi-points', step('trip'), step('pass'), step('mount-up'))
    expect(ours).toEqual({ takedown: 1, pass: 1, mount: 1, exposure: 1, controlSeconds: 7 })
  })
})

describe('letting a run go', () => {
  const [first, second] = demo.runs!
  const found = finished(alongRuns(demo, minute, [first, second]))

  it('is worth what its positions are with none of our holds on', () => {
    play(demo, first).beats.forEach(({ place }, i) => {
      if (place.kind === 'finish') return expect(found[0].letGo[i]).toBeNull()
      const spot =
        place.kind === 'reaction'
          ? lookUp(demo.reactions, place.id)!.endsIn
          : place.kind === 'position'
            ? place.id
            : 'caught'
      const free = produce(demo, (draft) => {
        const one = lookUp(draft.positions, spot)!
        if (one.holds) one.holds = one.holds.filter((id) => holder(lookUp(demo.holds, id)!) === 'theirs')
      })
      const { value } = taken(figuresOf(free, { ...minute, start: spot as PositionId })).figures
      expect(found[0].letGo[i]).toBeCloseTo(value, 9)
    })
    expect(found[1].letGo).toHaveLength(second.steps.length + 1)
  })

  it('is said by the step from which on the position is lost, and the steps before where it dips', () => {
    const hundred = (worth: number) => String(Math.round(worth * 100))
    const name = (n: number) => `step ${n}`
    expect(sayLetGo([0.2, 0.21, 0.19, 0.05, 0.3, null], name, hundred)).toBe(
      'It can be let go for what that is worth at its start, 20, or more, but not at step 3, “step 3” (5).',
    )
    expect(sayLetGo([0.2, 0.1, 0.19, 0.05, 0.1, null], name, hundred)).toBe(
      'Up to step 2 it can be let go as at its start, for 20, but not at step 1, “step 1” (10); from step 3, “step 3” on, letting go loses the position: 5.',
    )
    expect(sayLetGo([0.2, 0.1], name, hundred)).toMatch(/^Only before its first step it can be let go .+ from step 1/)
    expect(sayLetGo([0.2, 0.3, null], name, hundred)).toBe(
      'It can be let go at any step for what that is worth at its start, 20, or more.',
    )
    expect(sayLetGo([null], name, hundred)).toBe('')
  })
})
