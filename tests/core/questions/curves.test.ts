import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { setScenario } from '../../../src/core/game/edits/scenario'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { CLOCKS, SHARPNESSES, stretchesOf, worthCurves } from '../../../src/core/questions/curves'
import { drillGains } from '../../../src/core/questions/gains'
import { shortGain } from '../../../src/core/say/gain'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const curves = finished(worthCurves(plan, scenarioOf(plan)))

describe('worth against the clock, readers and rules', () => {
  it('is at each point what the figures say there', () => {
    expect(curves.clock.map(({ at }) => at)).toEqual(CLOCKS)
    expect(curves.sharpness.map(({ at }) => at)).toEqual(SHARPNESSES)
    for (const { at, worth, best } of curves.clock.filter((_, i) => i % 4 === 0)) {
      const { figures } = taken(figuresOf(plan, scenarioOf(plan, { seconds: at })))
      expect([worth, best]).toEqual([expect.closeTo(figures.value, 9), figures.best])
    }
    for (const { at, worth, best } of curves.sharpness.filter((_, i) => i % 4 === 0)) {
      const { figures } = taken(figuresOf(plan, scenarioOf(plan, { sharpness: at })))
      expect([worth, best]).toEqual([expect.closeTo(figures.value, 9), figures.best])
    }
  })

  it('falls where they see more, and is the same under a set of rules as when the set is chosen', () => {
    for (const [i, { worth }] of curves.sharpness.slice(1).entries())
      expect(worth).toBeLessThanOrEqual(curves.sharpness[i].worth + 1e-9)
    expect(curves.rules.map(({ rules }) => rules?.id)).toEqual([undefined, ...BUILT_IN_RULES.map(({ id }) => id)])
    for (const { rules, worth } of curves.rules) {
      const under = structuredClone(plan)
      setScenario(under, { rules: rules?.id ?? null })
      expect(worth).toBeCloseTo(taken(figuresOf(under, scenarioOf(under))).figures.value, 9)
    }
  })

  it('has a stretch for each change of what is best', () => {
    const point = (best: string | null, at: number) => ({ at, worth: 0, best })
    expect(stretchesOf([point('a', 0), point('a', 1), point('b', 2), point('a', 3)])).toEqual([
      { best: 'a', from: 0, to: 1 },
      { best: 'b', from: 2, to: 2 },
      { best: 'a', from: 3, to: 3 },
    ])
    expect(stretchesOf([])).toEqual([])
  })
})

test('a gain is said in a few words, with how many land now and then', () => {
  const gains = finished(drillGains(plan, scenarioOf(plan)))
  const drill = gains.find(({ of }) => of === 'drill')!
  expect(shortGain(plan, drill)).toMatch(/^.+ \d(\.\d)? → \d+(\.\d)? of ten$/)
  const answer = gains.find(({ of }) => of === 'new answer')
  if (answer) expect(shortGain(plan, answer)).toMatch(/^An answer to “.+”$/)
})
