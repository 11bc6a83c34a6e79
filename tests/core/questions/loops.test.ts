import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { loopsOf } from '../../../src/core/questions/loops'
import { sayLoop } from '../../../src/core/say/script'
import { scriptFrom, type Script, type ScriptStep, type ScriptWay } from '../../../src/core/questions/script'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const way = (to: ScriptWay['to'], share: number) => ({ kind: 'lands', to, share, position: 'p' }) as ScriptWay
const step = (key: number, ways: ScriptWay[], alive = 1, reach = 1) =>
  ({ key, position: `p${key}`, does: null, value: 0, reach, alive, ways }) as ScriptStep
const script = (...steps: ScriptStep[]): Script => ({ start: steps[0].key, steps, covered: 1 })

describe('loops of the plan', () => {
  it('end as a sum of a geometric row says: finished, led elsewhere, over', () => {
    const [loop, ...more] = loopsOf(
      script(step(3, [way(4, 0.5), way('finish', 0.3), way(9, 0.2)], 0.9), step(4, [way(3, 1)], 1, 0.5)),
    )
    // Each time round: 0.9 * 0.3 finish, 0.9 * 0.2 elsewhere, 0.1 over, 0.9 * 0.5 come round again.
    const times = 1 / (1 - 0.45)
    expect(loop.steps).toEqual([3, 4])
    expect([loop.finish, loop.elsewhere, loop.over, loop.caught]).toEqual([
      expect.closeTo(0.27 * times, 8),
      expect.closeTo(0.18 * times, 8),
      expect.closeTo(0.1 * times, 8),
      0,
    ])
    expect(more).toEqual([])
  })

  it('are none where nothing comes back, or only to where it was', () => {
    expect(loopsOf(script(step(3, [way(4, 1)]), step(4, [way('finish', 1)])))).toEqual([])
    expect(loopsOf(script(step(3, [way(3, 0.5), way('caught', 0.5)])))).toEqual([])
  })

  it('in the demo plan end somehow, and are said', () => {
    const { solution } = taken(figuresOf(demoPlan(), scenarioOf(demoPlan())))
    const told = scriptFrom(solution, scenarioOf(demoPlan()).start, { share: 0.9, steps: 60 })!
    const loops = loopsOf(told)
    expect(loops.length).toBeGreaterThan(0)
    for (const loop of loops) {
      expect(loop.finish + loop.elsewhere + loop.caught + loop.over).toBeCloseTo(1, 7)
      expect(sayLoop(demoPlan(), told, loop)).toMatch(
        /^“.+ go round: of a hundred that come there \d+ end in a finish, \d+ lead on elsewhere(, \d+ get us finished)?, and the others are over before\.$/,
      )
    }
  })
})
