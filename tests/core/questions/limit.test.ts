import { scenarioOf } from '../../../src/core/game/scenario'
import { limitBehind } from '../../../src/core/questions/limit'
import { sayChangedUse } from '../../../src/core/say/limited'
import { startWorth } from '../../../src/core/questions/solved'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { PlainGame } from '../../reference/plainGame'
import { bestPlanOf } from '../../reference/planProgramme'
import { randomChart, randomScenario } from '../../reference/randomChart'

describe('never risking more than so much', () => {
  const seen = { mixed: 0, refused: 0, kept: 0 }

  it.each(Array.from({ length: 56 }, (_, i) => i + 1))(
    'loses as little worth as any plan that keeps it, on chart %i',
    async (seed) => {
      const chart = randomChart(seed, seed % 4 === 0)
      const scenario = scenarioOf(chart, {
        ...randomScenario(chart, seed, true),
        seconds: 20 + (seed % 21),
        sharpness: 0,
      })
      if (scenario.goal.includes(scenario.start)) return
      const best = await bestPlanOf(new PlainGame(chart, scenario))
      const least = -best({ most: 'less risk' })!
      const free = finished(limitBehind(chart, scenario, 1))!
      expect(free.isKeptAlready).toBe(true)
      expect(free.now.worth).toBeCloseTo(best({ most: 'worth' })!, 7)
      const limit = least + (free.now.risk - least) * [0.5, 0.2, -0.1, 0.9][seed % 4]
      // The programme knows the least risk no better than this: on that line it cannot tell who is right.
      if (Math.abs(limit - least) < 1e-7 && limit < free.now.risk) return
      const found = finished(limitBehind(chart, scenario, limit))!
      expect(found.least.risk).toBeCloseTo(least, 7)
      if (limit < least - 1e-7) {
        seen.refused++
        expect([found.kept, best({ most: 'worth', limit })]).toEqual([null, null])
        return
      }
      const { outcome, mixed } = found.kept!
      expect(outcome.risk).toBeLessThan(limit + 1e-7)
      expect(outcome.worth).toBeCloseTo(best({ most: 'worth', limit: limit + 1e-9 })!, 6)
      if (!mixed) return void seen.kept++
      seen.mixed++
      const [first, second, share] = mixed
      expect([first.risk <= limit, second.risk > limit, share > 0 && share < 1]).toEqual([true, true, true])
      expect(share * first.worth + (1 - share) * second.worth).toBeCloseTo(outcome.worth, 12)
    },
  )

  it('was asked in every way', () => expect(Object.entries(seen).filter(([, times]) => times < 3)).toEqual([]))

  it('says that the demo plan keeps a wide limit, and the least that any plan risks where none keeps a narrow one', () => {
    const demo = demoPlan()
    const scenario = scenarioOf(demo, { seconds: 60 })
    const wide = finished(limitBehind(demo, scenario, 0.5))!
    expect(wide).toMatchObject({ isKeptAlready: true, kept: { mixed: null } })
    expect(wide.now.worth).toBeCloseTo(startWorth(demo, scenario)!, 9)
    const { id: start } = demo.positions.find(({ ahead, threat }) => ahead === 'theirs' && threat)!
    const none = finished(limitBehind(demo, { ...scenario, start }, 0))!
    expect(none.kept).toBeNull()
    expect(none.least.risk).toBeGreaterThan(0)
    expect(none.least.risk).toBeLessThanOrEqual(none.now.risk)
    expect(finished(limitBehind(demo, scenarioOf(demo, { seconds: null, breakUp: null }), 0.1))).toBeNull()
  })

  it('is found without a clock, too', () => {
    const demo = demoPlan()
    const scenario = scenarioOf(demo, { seconds: null })
    const { now, least } = finished(limitBehind(demo, scenario, 0))!
    const limit = (now.risk + least.risk) / 2
    const { kept } = finished(limitBehind(demo, scenario, limit))!
    expect(kept!.outcome.risk).toBeLessThan(limit + 1e-6)
    expect(kept!.outcome.worth).toBeGreaterThan(least.worth - 1e-6)
    expect(kept!.outcome.worth).toBeLessThan(now.worth)
    const { differs } = finished(limitBehind(demo, scenario, limit))!
    expect(differs.length).toBeGreaterThan(0)
    const change = differs.map(({ now, then }) => Math.abs(then - now))
    expect(change).toEqual([...change].sort((a, b) => b - a))
    expect(sayChangedUse(demo, differs[0])).toMatch(/^[A-Z].+: [\d.]+ times in a hundred, now [\d.]+\.$/)
  })
})
