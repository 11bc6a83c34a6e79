import { produce } from 'immer'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import type { Chart } from '../../../src/core/chart/chart'
import { figuresOf } from '../../../src/core/insight/figures'
import { limitBehind } from '../../../src/core/questions/limit'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const behind = (chart: Chart, scenario: Scenario, theirs: number) => {
  const { endings } = taken(figuresOf(chart, { ...scenario, ends: { ...scenario.ends, theirs } })).figures
  return endings.theirs + endings.caught
}

describe('never risking more than so much', () => {
  it.each([2, 5, 9, 13, 18, 22, 29, 37])(
    'counts ending behind for as little less as keeps the limit, on chart %i',
    (seed) => {
      const chart = produce(randomChart(seed, false), (draft) => draft.positions.forEach((one) => delete one.endWorth))
      const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), objective: 'careful', sharpness: 0 })
      const now = behind(chart, scenario, scenario.ends.theirs)
      const limit = now * 0.8
      const found = finished(limitBehind(chart, scenario, limit))!
      expect(found.behind.now).toBeCloseTo(now, 12)
      // Brute force: every hundredth, from what it counts now down to the worst.
      const grid = Array.from({ length: 81 }, (_, i) => scenario.ends.theirs - i / 100)
      const first = grid.find((theirs) => behind(chart, scenario, theirs) <= limit)
      if (found.isKeptAlready) expect(now).toBeLessThanOrEqual(limit)
      else if (found.theirs === null) expect(first).toBeUndefined()
      else {
        expect(behind(chart, scenario, found.theirs)).toBeLessThanOrEqual(limit + 1e-12)
        expect(Math.abs(found.theirs - first!)).toBeLessThan(0.0301)
      }
    },
  )

  it('says that the demo plan keeps a wide limit, and that no plan keeps none at all', () => {
    const demo = demoPlan()
    const scenario = scenarioOf(demo, { seconds: 60 })
    expect(finished(limitBehind(demo, scenario, 0.5))).toMatchObject({
      isKeptAlready: true,
      theirs: scenario.ends.theirs,
    })
    const none = finished(limitBehind(demo, scenario, 0))!
    expect(none.theirs).toBeNull()
    expect(none.behind.then).toBeLessThanOrEqual(none.behind.now)
    expect(finished(limitBehind(demo, scenarioOf(demo, { seconds: null, breakUp: null }), 0.1))).toBeNull()
  })
})
