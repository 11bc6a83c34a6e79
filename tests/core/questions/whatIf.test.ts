import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { holder } from '../../../src/core/chart/hold'
import { lookUp } from '../../../src/core/chart/lookUp'
import { totalOf, wholeOf, type Tries } from '../../../src/core/chart/tries'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { dependsOn } from '../../../src/core/questions/depends'
import { shareOf, shifted, type TriesPart } from '../../../src/core/questions/shifted'
import { allMet, metByName, usedMore, withUsedMore } from '../../../src/core/questions/met'
import { apart, figuresOfTries, sayChange, sayDependence, sayWhatIf } from '../../../src/core/say/whatIf'
import { supposed, whatIf } from '../../../src/core/questions/whatIf'
import { solve } from '../../../src/core/solve/solve'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const minute = scenarioOf(demo, { seconds: 60 })
const worth = (chart: Chart, scenario: Scenario) => {
  const game = taken(compileGame(chart, scenario))
  return taken(solve(game)).values[game.start]
}

describe('what the start depends on', () => {
  it('moves a try in ten into or out of one figure, and keeps how many there are', () => {
    const tries: Tries = { lands: 2, stalls: 4, elsewhere: { p: 1 }, reactions: { a: 2, b: 1 } }
    expect(shifted(tries, { of: 'lands' }, 0.1)).toEqual({
      lands: 3,
      stalls: 3.5,
      elsewhere: { p: 0.875 },
      reactions: { a: 1.75, b: 0.875 },
    })
    expect(shifted(tries, { of: 'reaction', reaction: 'a' }, -0.1).reactions!.a).toBeCloseTo(1, 12)
    expect(shifted({ lands: 0.5, stalls: 9.5 }, { of: 'lands' }, -0.1)).toEqual({ lands: 0, stalls: 10 })
    expect(shifted({ lands: 10 }, { of: 'lands' }, -0.1)).toEqual({ lands: 9, stalls: 1 })
    for (const part of [{ of: 'lands' as const }, { of: 'reaction' as const, reaction: 'b' }]) {
      for (const by of [-0.1, 0.1, 0.9]) expect(totalOf(shifted(tries, part, by))).toBeCloseTo(10, 12)
    }
  })

  it.each([3, 6, 14, 21])('is what solving again says, largest first, on chart %i', (seed) => {
    const chart = randomChart(seed, true)
    const scenario = scenarioOf(chart, randomScenario(chart, seed, true))
    const now = worth(chart, scenario)
    const { found, tried, all } = finished(dependsOn(chart, scenario))
    const size = ({ less, more }: { less: number; more: number }) => Math.max(Math.abs(less), Math.abs(more))
    const every = everyFigure(chart, scenario, now).sort((a, b) => size(b) - size(a))
    expect([tried, found.length]).toEqual([all, Math.min(12, every.length)])
    found.forEach((one, i) => expect(size(one)).toBeCloseTo(size(every[i]), 9))
  })

  it('tries what promises most where it would take too long to try all, and says of how many', () => {
    const { found, tried, all } = finished(dependsOn(demo, scenarioOf(demo, { seconds: 3600 })))
    expect(tried).toBeLessThan(all)
    expect(found).toHaveLength(12)
  })

  it('is said by what the move or the answer does of ten', () => {
    const { found } = finished(dependsOn(demo, minute))
    const said = found.map((one) => sayDependence(demo, one))
    expect(said.length).toBeGreaterThan(8)
    expect(said).toContainEqual({ head: 'Step across and lift', detail: 'lands 3 of ten' })
    expect(said.some(({ detail }) => /^meets “[a-z ]+” \d of ten/.test(detail))).toBe(true)
  })
})

/** Every figure of the tries and of the scenario moved both ways, each solved by itself. */
function everyFigure(chart: Chart, scenario: Scenario, now: number): { less: number; more: number }[] {
  const both = (of: (sign: number) => number) => ({ less: of(-1) - now, more: of(1) - now })
  const moved = (tries: Tries, part: TriesPart, sign: number) => {
    const share = shareOf(tries, part)
    const counted = Math.max(0.02, share)
    const odds = (counted / (1 - counted)) * Math.exp(0.4 * sign)
    const next = counted === 1 ? 1 : odds / (1 + odds)
    return shifted(tries, part, (sign < 0 ? Math.min(share, next) : next) - share)
  }
  const ofTries = (['moves', 'answers'] as const).flatMap((list) =>
    chart[list].flatMap(({ tries }, i) => {
      if (!tries) return []
      const reactions = Object.entries(tries.reactions ?? {}).filter(([, n]) => n > 0)
      const parts: TriesPart[] = [
        { of: 'lands' },
        ...reactions.map(([reaction]): TriesPart => ({ of: 'reaction', reaction })),
      ]
      return parts.map((part) =>
        both((sign) => {
          const other = produce(chart, (draft) => void (draft[list][i].tries = moved(tries, part, sign)))
          return worth(other, scenario)
        }),
      )
    }),
  )
  const { breakUp, slips, repeat, sharpness, ends } = scenario
  const at = (instead: Partial<Scenario>) => worth(chart, { ...scenario, ...instead })
  const clip = (value: number, most: number, least = 0) => Math.min(most, Math.max(least, value))
  return [
    ...ofTries,
    ...(breakUp === null ? [] : [both((sign) => at({ breakUp: Math.max(1, breakUp * (1 + sign / 4)) }))]),
    both((sign) => at({ slips: clip(slips + sign * 0.05, 1) })),
    both((sign) => at({ repeat: clip(repeat + sign * 0.1, 1) })),
    both((sign) => at({ sharpness: clip(sharpness + sign * 0.1, 0.9) })),
    ...(scenario.objective === 'careful' ? (['ours', 'even', 'theirs'] as const) : []).map((ahead) =>
      both((sign) => at({ ends: { ...ends, [ahead]: clip(ends[ahead] + sign * 0.1, 1, -1) } })),
    ),
  ]
}

describe('what if', () => {
  const answer = (ifs: Parameters<typeof whatIf>[2]) => finished(whatIf(demo, minute, ifs))!

  it('changes nothing where nothing is supposed, and the chart never', () => {
    const before = JSON.stringify(demo)
    const same = answer({})
    expect([same.then, same.changes]).toEqual([same.now, []])
    expect(sayWhatIf(same)).toEqual(['It would change nothing that matters from the start.'])
    answer({ theyCannot: 'bridge', weCannot: 'left-hand', often: [{ met: [allMet(demo)[0]], times: Infinity }] })
    expect(JSON.stringify(demo)).toBe(before)
  })

  it('is the plan of the chart and the scenario as they are supposed to be', () => {
    const turnsIn = allMet(demo).find(({ reaction, met }) => reaction === 'turns-in-under-us' && met.by === 'move')!
    const ifs = { often: [{ met: [turnsIn], times: Infinity }], sharpness: 0.5, seconds: 40 }
    const result = answer(ifs)
    const other = supposed(demo, minute, ifs)
    expect(other.scenario).toMatchObject({ sharpness: 0.5, seconds: 40 })
    expect(result.then).toBeCloseTo(worth(other.chart, other.scenario), 12)
    const { figures } = taken(figuresOf(other.chart, other.scenario))
    for (const { position, now } of result.changes) expect(figures.positions[position].best).toBe(now)
    expect(result.behind.then).toBeCloseTo(figures.endings.theirs + figures.endings.caught, 12)
  })

  it('always is as often as they can choose it, and never is never', () => {
    const tries: Tries = { lands: 3, stalls: 3, reactions: { a: 2, b: 2 } }
    expect(usedMore(tries, 'a', 1000)).toEqual({ lands: 3, stalls: 0, reactions: { a: 7, b: 0 } })
    const never = usedMore(tries, 'a', 0)
    expect([never.lands, never.stalls, never.reactions!.a, never.reactions!.b]).toEqual([
      3,
      expect.closeTo(4.2, 12),
      0,
      expect.closeTo(2.8, 12),
    ])
    expect(usedMore({ lands: 5, reactions: { a: 5 } }, 'a', 0)).toEqual({ lands: 5, stalls: 5, reactions: { a: 0 } })
  })

  it('they cannot do what needs a capability that they do not have', () => {
    const { figures } = taken(figuresOf(demo, supposed(demo, minute, { theyCannot: 'turn-in' }).scenario))
    const needs = new Set(demo.reactions.filter(({ uses = [] }) => uses.includes('turn-in')).map(({ id }) => id))
    expect(needs.size).toBeGreaterThan(1)
    expect(figures.met.filter(({ reaction }) => needs.has(reaction))).toEqual([])
  })

  it('we hold nothing with a limb that we cannot use', () => {
    const { chart, scenario } = supposed(demo, minute, { weCannot: 'right-hand' })
    const held = new Set<string>(
      demo.holds!.filter((hold) => holder(hold) === 'ours' && hold.limbs.includes('right-hand')).map(({ id }) => id),
    )
    expect(chart.positions.flatMap(({ holds = [] }) => holds).filter((id) => held.has(id))).toEqual([])
    expect(scenario.aside.length).toBeGreaterThan(3)
    expect(answer({ weCannot: 'right-hand' }).then).toBeLessThan(answer({}).then)
  })

  it('sets any one figure of the tries, the others in proportion', () => {
    const figure = figuresOfTries(demo).find(({ says }) => says === 'Arm-in choke lands')!
    expect(figure.share).toBeCloseTo(0.1, 12)
    const other = supposed(demo, minute, { tries: [{ ...figure, share: 0.4 }] })
    const id = figure.target.of === 'move' ? figure.target.move : undefined
    const { tries } = lookUp(other.chart.moves, id)!
    expect(tries!.lands! / totalOf(tries!)).toBeCloseTo(0.4, 12)
    expect(answer({ tries: [{ ...figure, share: 0.4 }] }).then).toBeCloseTo(worth(other.chart, minute), 12)
    expect(answer({ tries: [figure] }).then).toBeCloseTo(answer({}).now, 12)
    for (const { target, part } of figuresOfTries(demo)) {
      const set = supposed(demo, minute, { tries: [{ target, part, share: 0.25 }] }).chart
      const of = target.of === 'move' ? lookUp(set.moves, target.move)! : set.answers[target.answer]
      expect(shareOf(wholeOf(of), part)).toBeCloseTo(0.25, 9)
    }
  })

  it('takes several suppositions at once, and what they do wherever it is met', () => {
    const turns = metByName(demo).find(({ met }) => met.length > 1)!
    expect(turns.met.length).toBeGreaterThan(1)
    expect(metByName(demo).flatMap(({ met }) => met)).toHaveLength(allMet(demo).length)
    const [one, other] = figuresOfTries(demo).filter(({ part }) => part.of === 'lands')
    const tries = [
      { ...one, share: 0.6 },
      { ...other, share: 0.1 },
    ]
    const both = supposed(demo, minute, { tries, often: [{ met: turns.met, times: 2 }] }).chart
    const byHand = turns.met.reduce(
      (chart, met) => withUsedMore(chart, met, 2),
      tries.reduce((chart, figure) => supposed(chart, minute, { tries: [figure] }).chart, demo),
    )
    expect(both).toEqual(byHand)
    expect(answer({ tries, often: [{ met: turns.met, times: 2 }] }).then).toBeCloseTo(worth(byHand, minute), 12)
  })

  it('answers in figures that differ', () => {
    expect([apart(0.40049, 0.39651), apart(0.401, 0.397), apart(0.5, 0.3), apart(-0.004, -0.001)]).toEqual([
      ['40.0', '39.7'],
      ['40.1', '39.7'],
      ['50', '30'],
      ['−0.4', '−0.1'],
    ])
    expect(apart(0.5, 0.5)).toEqual(['50', '50'])
  })

  it('lets moves be only shown, or not', () => {
    const shown = answer({ probe: { lands: 1, stalls: 0, reactions: 1 } })
    expect(shown.then).toBeGreaterThan(shown.now)
    expect(answer({ probe: null }).then).toBeCloseTo(answer({}).now, 12)
  })

  it('is said with what it does to the plan', () => {
    const result = answer({ weCannot: 'right-hand' })
    expect(sayWhatIf(result)[0]).toMatch(
      /^Then the start is worth [\d.]+ against [\d.]+: of a hundred exchanges we finish [\d.]+ against [\d.]+, and end behind or caught [\d.]+ against [\d.]+\.$/,
    )
    const changes = ['turn-in', 'bridge', 'left-hand', 'right-hand'].flatMap(
      (one) => answer({ theyCannot: one }).changes,
    )
    expect(changes.length).toBeGreaterThan(0)
    for (const change of changes) expect(sayChange(demo, change)).toMatch(/^[A-Z][a-z].+ instead of .+\.$/)
    const position = demo.positions[0].id
    expect(sayChange(demo, { position, was: 'wait', now: null, visits: 1 })).toMatch(
      /nothing is left to do instead of holding still\.$/,
    )
    expect(sayChange(demo, { position, was: null, now: 'wait', visits: 1 })).toMatch(/hold still instead of nothing\.$/)
  })
})
