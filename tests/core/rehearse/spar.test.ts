import { produce } from 'immer'
import { seeded } from '../../../bench/generate'
import type { Chart } from '../../../src/core/chart/chart'
import { askedKey } from '../../../src/core/club/rehearsed'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { cardsOf } from '../../../src/core/rehearse/cards'
import {
  costliest,
  nextSharpness,
  sparWith,
  type Choice,
  type Option,
  type Spar,
} from '../../../src/core/rehearse/spar'
import { sayCame, sayDone, sayOption } from '../../../src/core/say/spar'
import type { Solution } from '../../../src/core/solve/solution'
import { solve } from '../../../src/core/solve/solve'
import { demoFigures, demoPlan } from '../../fixtures/demoPlan'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const solutionOf = (chart: Chart, other: Partial<Scenario> = {}) =>
  taken(solve(taken(compileGame(chart, scenarioOf(chart, other))), { everySecond: true }))

/** Plays to the end with whatever `pick` picks. */
function played(solution: Solution, seed: number, pick: (options: Option[]) => Option) {
  const chosen: number[] = []
  for (;;) {
    const spar = sparWith(solution, seed, chosen)
    if (!spar.turn) return spar
    chosen.push(pick(spar.turn.options).action)
  }
}
const best = (options: Option[]) => options.reduce((most, one) => (one.worth > most.worth ? one : most))
const regret = ({ choices }: Spar) => choices.reduce((sum, { cost }) => sum + cost, 0)
const demo = demoPlan()
const solution = solutionOf(demo)

describe('sparring with the plan', () => {
  it('finds nothing to regret in the best plan, which is the one that solving found', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const spar = played(solution, seed, best)
      expect(regret(spar)).toBe(0)
      expect(costliest(spar.choices, 2)).toEqual([])
      expect(spar.ended).not.toBeNull()
      const [first] = spar.choices
      expect(first!.best.worth).toBeCloseTo(spar.value, 12)
    }
  })

  it('loses on average just what the choices cost', () => {
    // What is known of any way to play: the worth it comes to is the value less the regret, on average.
    for (const chartSeed of [4, 9, 12]) {
      const chart = randomChart(chartSeed, chartSeed % 2 === 0)
      const own = solutionOf(chart, { ...randomScenario(chart, chartSeed, true), objective: 'careful' })
      const random = seeded(chartSeed)
      const sums = Array.from({ length: 1500 }, (_, i) => {
        const spar = played(own, i, (options) => options[Math.floor(random() * options.length)]!)
        return spar.ended!.worth + regret(spar)
      })
      const mean = sums.reduce((all, one) => all + one, 0) / sums.length
      const spread = sums.reduce((all, one) => all + (one - mean) ** 2, 0) / sums.length
      const value = own.values[own.game.start]!
      expect(Math.abs(mean - value)).toBeLessThan(4.5 * Math.sqrt(spread / sums.length) + 1e-9)
    }
  })

  it('meets the same partner with the same seed, and another with another', () => {
    const worths = (seed: number) => played(solution, seed, best).choices.map(({ came, t }) => ({ came, t }))
    expect(worths(5)).toEqual(worths(5))
    expect(worths(5)).not.toEqual(worths(6))
  })

  it('goes on from what came of the choice before: where it led, or what they did to what was tried', () => {
    const random = seeded(11)
    const any = (options: Option[]) => options[Math.floor(random() * options.length)]!
    let reactions = 0
    const came = new Set<string>()
    for (let seed = 0; seed < 60; seed++) {
      const spar = played(solution, seed, seed % 2 ? any : best)
      spar.choices.forEach((choice, i) => {
        const { asked, chosen, t } = choice
        const next = spar.choices[i + 1]
        came.add(
          `${choice.came.of}${chosen.does === 'concede' ? ' conceding' : chosen.does === 'wait' ? ' waiting' : ''}`,
        )
        if (!next) return
        expect(next.t).toBeLessThanOrEqual(t)
        if (choice.came.of === 'reaction') {
          reactions++
          const tried = chosen.does === 'wait' || chosen.does === 'concede' ? undefined : chosen.does
          expect(next.asked).toMatchObject({ position: asked.position, reaction: choice.came.reaction })
          expect(next.asked.move).toBe(tried)
        } else {
          if (choice.came.of === 'end') throw new Error('there is no choice after the end')
          expect([next.asked.position, next.asked.reaction]).toEqual([choice.came.place, undefined])
        }
      })
    }
    expect(reactions).toBeGreaterThan(30)
    // Only what was let go is conceded, and only who waits has held.
    expect([...came].filter((one) => one.startsWith('conceded'))).toEqual(['conceded conceding'])
    expect([...came].filter((one) => one.startsWith('held'))).toEqual(['held waiting'])
    expect(came).not.toContain('stalls conceding')
    expect(came).toContain('stalls')
  })

  it('says whether the clock or a break ended what nobody won', () => {
    const hows = (breakUp: number, seconds: number) => {
      const chart = produce(demo, (draft) => {
        draft.settings = { ...draft.settings, breakUp }
        for (const position of draft.positions) delete position.breakUp
      })
      const own = solutionOf(chart, { seconds })
      return new Set(Array.from({ length: 30 }, (_, seed) => played(own, seed, best).ended!.how))
    }
    const [unbroken, long] = [hows(1e9, 20), hows(4, 600)]
    expect([unbroken.has('time'), unbroken.has('broken up')]).toEqual([true, false])
    expect([long.has('time'), long.has('broken up')]).toEqual([false, true])
  })

  it('asks in each turn what a card of the plan asks, with every choice once', () => {
    const keys = new Set(cardsOf(demo, demoFigures(), () => true).map(({ key }) => key))
    const asked = Array.from({ length: 20 }, (_, seed) => played(solution, seed, best)).flatMap(
      ({ choices }) => choices,
    )
    const known = asked.filter((one) => keys.has(askedKey(one.asked)))
    expect(known.length / asked.length).toBeGreaterThan(0.8)
    const { turn } = sparWith(solution, 1, [])
    const names = turn!.options.map((one) => sayOption(demo, one))
    expect(new Set(names).size).toBe(names.length)
    expect(names).toEqual(expect.arrayContaining(['Hold still', 'Shoot the high crotch', 'Snap from the underhook']))
  })

  it('leaves out what cannot be done now', () => {
    const { choices, turn } = sparWith(solution, 1, [123_456])
    expect(choices).toEqual([])
    expect(turn).not.toBeNull()
  })

  it('says what was done and what came of it', () => {
    const spars = Array.from({ length: 40 }, (_, seed) => played(solution, seed, best))
    const all = spars.flatMap(({ choices }) => choices)
    for (const { chosen, came } of all) {
      expect(sayDone(demo, chosen)).toMatch(/^We /)
      expect(sayCame(demo, came)).toMatch(/^[A-Z].*\.$/)
    }
    const kinds = new Set(all.map(({ came }) => came.of))
    for (const kind of ['lands', 'stalls', 'reaction', 'end'] as const) expect(kinds.has(kind)).toBe(true)
    const said = all.map(({ chosen, came }) => `${sayDone(demo, chosen)}. ${sayCame(demo, came)}`)
    expect(said).toContain('We shoot the high crotch. They sprawl on us.')
    expect(said).toContain('We shoot the high crotch. It lands: we are in high crotch, in on the leg.')
    for (const spar of spars) expect(spar.choices.at(-1)!.came.of === 'end' || spar.ended!.how === 'time').toBe(true)
  })
})

it('names the two choices that cost most, and grows with who sparred', () => {
  const random = seeded(3)
  const spar = played(solution, 2, (options) => options[Math.floor(random() * options.length)]!)
  const two = costliest(spar.choices, 2)
  const costs = new Map<string, number>()
  for (const { asked, cost } of spar.choices)
    costs.set(askedKey(asked), Math.max(cost, costs.get(askedKey(asked)) ?? 0))
  expect(two.map(({ cost }) => cost)).toEqual([...costs.values()].toSorted((a, b) => b - a).slice(0, 2))
  expect(askedKey(two[0]!.asked)).not.toBe(askedKey(two[1]!.asked))
  expect([nextSharpness(0.2, 0), nextSharpness(0.2, 0.1), nextSharpness(0.2, 0.5)]).toEqual([0.3, 0.2, 0.1])
  expect([nextSharpness(0.9, 0), nextSharpness(0, 1)]).toEqual([0.9, 0])
  expect([0.0299, 0.03, 0.15, 0.1501].map((cost) => nextSharpness(0.5, cost))).toEqual([0.6, 0.5, 0.5, 0.4])
})

it('counts of the choices of one question the costliest, and none that cost next to nothing', () => {
  const choice = (position: string, cost: number, t = 60) => ({ asked: { position }, t, cost }) as Choice
  const some = [choice('mount', 0.02), choice('back', 0.3), choice('mount', 0.1, 50), choice('side', 0.005)]
  expect(costliest(some, 2).map(({ asked, cost }) => [asked.position, cost])).toEqual([
    ['back', 0.3],
    ['mount', 0.1],
  ])
  expect(costliest(some, 9)).toHaveLength(2)
  expect(costliest([...some, choice('turtle', 0.0051)], 9)).toHaveLength(3)
  expect(costliest(some, 1).map(({ cost }) => cost)).toEqual([0.3])
})
