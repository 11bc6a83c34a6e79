import { lookUp } from '../../src/core/chart/lookUp'
import type { RunStep } from '../../src/core/chart/run'
import { scenarioOf } from '../../src/core/game/scenario'
import { worthsAlong } from '../../src/core/insight/along'
import { figuresOf } from '../../src/core/insight/figures'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'

const demo = demoPlan()
const { figures, solution } = taken(figuresOf(demo, scenarioOf(demo)))
const along = (start: string, steps: object[]) =>
  worthsAlong(solution, { start: start as never, steps: steps as RunStep[] })

describe('what the steps of a run are worth', () => {
  it('begins with the position and ends with a finish', () => {
    const run = lookUp(demo.runs, 'two-arms-then-the-choke')!
    const worths = worthsAlong(solution, run)
    expect(worths).toHaveLength(run.steps.length + 1)
    expect(worths[0]).toBe(figures.positions[run.start].value)
    expect(worths.at(-1)).toBe(1)
    for (const worth of worths) expect(worth).toBeGreaterThan(0)
  })

  it('is the value of a reaction where one is met, and of where conceding leads', () => {
    const met = figures.met.find(({ move, reaction }) => move === 'americana' && reaction === 'hides-it-at-the-hip')!
    const [, hidden, conceded] = along('side-control-head-and-far-arm', [
      { move: 'americana', reaction: 'hides-it-at-the-hip' },
      {},
    ])
    expect(hidden).toBe(met.value)
    expect(conceded).toBeLessThanOrEqual(hidden!)
    const answered = along('side-control-head-and-far-arm', [
      { move: 'americana', reaction: 'hides-it-at-the-hip' },
      { move: 'kimura' },
    ])
    expect(answered.at(-1)).toBe(1)
  })

  it('is the value after a stall, and of an unprompted reaction', () => {
    const [own, stalled] = along('back-under-side', [{ move: 'choke-from-the-under-side', stalls: true }])
    expect(stalled).toBeLessThanOrEqual(own!)
    const unprompted = figures.met.find(({ move, position }) => move === null && position === 'back-under-side')!
    expect(along('back-under-side', [{ reaction: unprompted.reaction }])[1]).toBe(unprompted.value)
  })

  it('is not known from a step on that the game does not have', () => {
    const lift = { move: 'leg-over-the-lifted-elbow' }
    expect(along('back-wrists-crossed', [lift, {}]).slice(1)).toEqual([null, null])
    expect(along('back-under-side', [{}])[1]).toBeNull()
    expect(along('back-under-side', [{ move: 'kimura' }])[1]).toBeNull()
    expect(along('nowhere', [lift])).toEqual([null, null])
    expect(along('back-choke-closed', [{ move: 'elbows-together' }, lift])).toEqual([expect.any(Number), 1, null])
  })
})
