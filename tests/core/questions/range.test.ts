import { produce } from 'immer'
import { seeded } from '../../../bench/generate'
import type { Chart } from '../../../src/core/chart/chart'
import type { PositionId } from '../../../src/core/chart/ids'
import { weightOf, withTallies, type Tries } from '../../../src/core/chart/tries'
import { compileGame } from '../../../src/core/game/compileGame'
import { terminalWorth, type Game } from '../../../src/core/game/game'
import { Refill } from '../../../src/core/game/refill'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { rangeOf, sampleRange, type Part, type Sampled, type Within } from '../../../src/core/questions/range'
import { sayClose, sayCloseAt, sayRange } from '../../../src/core/say/range'
import { solved, startWorth } from '../../../src/core/questions/solved'
import { Evaluator } from '../../../src/core/solve/evaluate'
import { KeptPlan } from '../../../src/core/solve/keptPlan'
import { occupancyOf } from '../../../src/core/solve/occupancy'
import type { Solution } from '../../../src/core/solve/solution'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { openToAll, Sampler } from '../../../src/core/questions/sampled'
import type { MoveId } from '../../../src/core/chart/ids'
import type { TryCounts } from '../../../src/core/game/tryCounts'
import { taken } from '../../reference/taken'

const WHOLE: Part = { from: 0, every: 1 }
const sample = (chart: Chart, scenario: Scenario, part: Part, samples: number, places: PositionId[] = []) =>
  finished(sampleRange(chart, scenario, places, part, samples))!

/**
 * Every figure of every try and of what they do unprompted by a draw of its own; where there was none there is none.
 * `always`: landing and nothing may come of every move all the same.
 */
function changed(chart: Chart, draw: (count: number) => number, always = false): Chart {
  const each = (counts: Record<string, number> = {}) =>
    Object.fromEntries(Object.entries(counts).map(([id, n]) => [id, n && draw(n)]))
  const other = (guess: Tries): Tries => {
    const { lands = 0, stalls = 0, elsewhere, reactions } = withTallies(guess)
    return {
      lands: lands || always ? draw(lands) : 0,
      stalls: stalls || always ? draw(stalls) : 0,
      elsewhere: each(elsewhere),
      reactions: each(reactions),
    }
  }
  return {
    ...chart,
    moves: chart.moves.map((move) => ({ ...move, ...(move.tries ? { tries: other(move.tries) } : {}) })),
    answers: chart.answers.map((one) => (one.tries ? { ...one, tries: other(one.tries) } : one)),
    positions: chart.positions.map((one) =>
      one.unprompted ? { ...one, unprompted: { ...one.unprompted, reactions: each(one.unprompted.reactions) } } : one,
    ),
  }
}

/** What a plan is worth in another game, counted forward by how its exchanges end. */
function followed(plan: Solution, game: Game): number {
  const evaluator = new Evaluator(game, plan.evaluator.table)
  const { finish, caught, endedWorth } = occupancyOf({ ...plan, game, evaluator })
  return finish + caught * terminalWorth(game.scenario)[1] + endedWorth[0] + endedWorth[1] + endedWorth[2]
}

describe('a game filled anew', () => {
  it.each([1, 2, 4, 6, 9, 12, 17, 20, 25, 31])('is the game that compiling the chart gives, on chart %i', (seed) => {
    const chart = randomChart(seed, seed % 4 !== 1)
    const probe = seed % 2 ? null : { lands: 0.4, stalls: 1.5, reactions: 1.2 }
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), probe })
    const random = seeded(seed)
    const other = changed(chart, (n) => n * (0.2 + 2 * random()))
    const game = taken(compileGame(chart, scenario))
    const refill = new Refill(game, chart)
    const filled = refill.with(refill.countsOf(other))!
    const anew = taken(compileGame(other, scenario))
    expect(filled.outcomeState).toEqual(anew.outcomeState)
    for (const row of ['outcomeChance', 'actionMass', 'stateLoss'] as const) {
      expect(filled[row]).toHaveLength(anew[row].length)
      filled[row].forEach((value, i) => {
        if (!Number.isNaN(value) || !Number.isNaN(anew[row][i])) expect(value).toBeCloseTo(anew[row][i], 12)
      })
    }
    expect(refill.with(refill.counts)!.outcomeChance).toEqual(game.outcomeChance)
  })
})

describe('how sure the value is', () => {
  it.each([3, 8, 14])('is what a direct sampler finds, chart %i', (seed) => {
    const chart = randomChart(seed, false)
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), seconds: 12, sharpness: 0 })
    const found = rangeOf([sample(chart, scenario, WHOLE, 600)])
    const plan = solved(openToAll(chart), scenario, { everySecond: true })!
    // Counts are whole here: a gamma variate of shape n is a sum of n exponential ones, of ½ half a squared normal.
    const random = seeded(99 + seed)
    const exponentials = (n: number) =>
      Array.from({ length: n }, () => -Math.log(1 - random())).reduce((a, b) => a + b, 0)
    const half = () => -Math.log(1 - random()) * Math.cos(2 * Math.PI * random()) ** 2
    const charts = Array.from({ length: 600 }, () => changed(chart, (n) => exponentials(n) + half(), true))
    const direct = (worth: (chart: Chart) => number, { low, high }: Within) => {
      const values = charts.map(worth).sort((a, b) => a - b)
      const within = 0.15 * (values[540] - values[60]) + 1e-9
      expect(Math.abs(low - values[60])).toBeLessThan(within)
      expect(Math.abs(high - values[540])).toBeLessThan(within)
    }
    direct((one) => startWorth(one, scenario)!, found.best)
    direct((one) => followed(plan, taken(compileGame(one, scenario))), found.kept)
  })

  it.each([2, 6, 10, 13])('keeps to the plan at the value it has, and never above the best one, chart %i', (seed) => {
    const chart = randomChart(seed, true)
    const scenario = scenarioOf(chart, randomScenario(chart, seed, seed % 4 !== 2))
    const { game, ...rest } = solved(chart, scenario, { everySecond: true })!
    const plan = new KeptPlan({ game, ...rest })
    expect(plan.worthIn(game)).toBeCloseTo(rest.values[game.start], 4)
    const { kept, best } = sample(chart, scenario, WHOLE, 25)
    kept.forEach((value, i) => expect(value).toBeLessThanOrEqual(best[i] + 1e-3))
  })

  const demo = demoPlan()
  const minute = scenarioOf(demo, { seconds: 30 })
  const places = demo.positions.slice(0, 3).map(({ id }) => id)

  it('is the same whoever takes the samples, and lies about the value', () => {
    const whole = rangeOf([sample(demo, minute, WHOLE, 60, places)])
    const halves: Sampled[] = [0, 1].map((from) => sample(demo, minute, { from, every: 2 }, 60, places))
    expect(rangeOf(halves)).toEqual({ ...whole, knowing: expect.closeTo(whole.knowing, 12) })
    expect(whole.samples).toBe(60)
    const value = startWorth(demo, minute)!
    expect(whole.kept.low).toBeLessThan(value)
    expect(whole.kept.high).toBeGreaterThan(value)
    expect(whole.knowing).toBeGreaterThan(0)
    expect(whole.best.high).toBeGreaterThan(whole.kept.high)
  })

  it('is narrower the more the guesses weigh', () => {
    const sure = produce(demo, (draft) => {
      for (const { tries } of [...draft.moves, ...draft.answers]) if (tries) tries.weight = 400
    })
    const width = (chart: Chart) => {
      const { low, high } = rangeOf([sample(chart, minute, WHOLE, 60)]).kept
      return high - low
    }
    expect(width(sure)).toBeLessThan(width(demo) / 3)
  })

  it('says where two moves are too close to call, and not where one is clearly better', () => {
    const twins = (lands: number) => ({
      ...demo,
      positions: demo.positions.slice(0, 1),
      moves: [3, lands].map((n, i) => ({
        ...demo.moves[0],
        id: `m${i}`,
        from: demo.positions[0].id,
        to: 'finish',
        needs: [],
        adds: [],
        tries: { lands: n, stalls: 10 - n },
      })),
      ...{ reactions: [], answers: [], holds: [], settings: {} },
    })
    const range = (lands: number) => {
      const chart = { ...twins(lands), positions: [{ ...demo.positions[0], holds: [] }] } as unknown as Chart
      const { id } = demo.positions[0]
      return rangeOf([sample(chart, scenarioOf(chart, { start: id, seconds: 6 }), WHOLE, 80, [id])])
    }
    const [close] = range(3).close
    expect(close.best.map(({ move }) => move).sort()).toEqual(['m0', 'm1'])
    expect(close.best[0].share + close.best[1].share).toBeCloseTo(1, 12)
    expect(range(9).close).toEqual([])
  })
})

describe('tries as they might be', () => {
  const { id } = demoPlan().positions[0]
  /** The chart of one move of which nothing is guessed: `worked` of ten real tries landed. */
  const afterTen = (worked: number) => {
    const tallies = [true, false].map((did) => ({ worked: did, weight: did ? worked : 10 - worked }))
    const tries = { lands: 1, stalls: 1, weight: 0, tallies: tallies.filter(({ weight }) => weight > 0) }
    return produce(demoPlan(), (draft) => {
      draft.positions = draft.positions.slice(0, 1)
      draft.moves = [{ id: 'm' as MoveId, name: 'Move', kind: 'hold', from: id, to: 'finish', tries }]
      draft.reactions = draft.answers = []
    })
  }
  const shares = (chart: Chart, count: number) => {
    const open = openToAll(chart)
    const sampler = new Sampler(new Refill(taken(compileGame(open, scenarioOf(open, { start: id }))), open))
    return Array.from({ length: count }, (_, i) => {
      const { lands, stalls } = sampler.draw(7, i).tries[0]!
      return lands / (lands + stalls)
    })
  }

  it('cover the truth in 70 to 95 of 100 after ten real tries, summed over all counts', () => {
    const within = Array.from({ length: 11 }, (_, worked) => {
      const sorted = shares(afterTen(worked), 4000).sort((a, b) => a - b)
      return [sorted[400], sorted[3600]]
    })
    const ways = [1, 10, 45, 120, 210, 252, 210, 120, 45, 10, 1]
    for (const truth of [0.05, 0.1, 0.2, 0.3, 0.5]) {
      const covered = within.reduce((sum, [low, high], k) => {
        const chance = ways[k] * truth ** k * (1 - truth) ** (10 - k)
        return low <= truth && truth <= high ? sum + chance : sum
      }, 0)
      expect([truth, covered > 0.7 && covered < 0.95]).toEqual([truth, true])
    }
  })

  it('lie about what was seen in every move, the first as well', () => {
    const demo = demoPlan()
    const open = openToAll(demo)
    const refill = new Refill(taken(compileGame(open, scenarioOf(demo))), open)
    const sampler = new Sampler(refill)
    const draws = Array.from({ length: 600 }, (_, i) => sampler.draw(20_251, i).tries)
    refill.counts.tries.forEach((one, i) => {
      if (!one) return
      const outcomes = 2 + one.reactions.length + one.elsewhere.length
      const total = weightOf(demo.moves[i]?.tries ?? demo.answers[i - demo.moves.length]?.tries ?? {})
      const share = (tries: TryCounts) =>
        tries.lands /
        (tries.lands + tries.stalls + [...tries.reactions, ...tries.elsewhere].reduce((sum, [, n]) => sum + n, 0))
      const wanted = (share(one) * total + 0.5) / (total + outcomes / 2)
      const mean = draws.reduce((sum, tries) => sum + share(tries[i]!), 0) / draws.length
      const error = Math.sqrt((wanted * (1 - wanted)) / (total + outcomes / 2 + 1) / draws.length)
      expect(Math.abs(mean - wanted)).toBeLessThan(5 * error)
    })
  })
})

describe('how sure it is, said', () => {
  const demo = demoPlan()
  const hundred = (worth: number) => String(Math.round(worth * 100))
  const range = {
    kept: { low: 0.331, high: 0.47 },
    best: { low: 0.4, high: 0.5 },
    knowing: 0.062,
    samples: 400,
    close: [],
  }

  it('gives the range, and what knowing the tries would be worth where that is worth a sentence', () => {
    expect(sayRange(range, hundred)).toEqual([
      'Keeping to this plan is worth from 33 to 47 in eight of ten of 400 cases, each with tries that your guesses could as well have meant.',
      'Knowing your real tries, and planning for them, would be worth about 6 more: tally rounds.',
    ])
    expect(sayRange({ ...range, knowing: 0.001 }, hundred)).toHaveLength(1)
  })

  it('names what may be best where it is too close to call, the rare aside', () => {
    const [first, second] = demo.moves
    const best = [
      { move: first.id, share: 0.61 },
      { move: 'wait', share: 0.36 },
      { move: second.id, share: 0.03 },
    ]
    const close = { position: demo.positions[0].id, best }
    expect(sayClose(demo, close)).toMatch(
      /^Too close to call: in 61 of a hundred plans it is best to [a-z].+ and in 36 to hold still\.$/,
    )
    expect(sayCloseAt(demo, close)).toMatch(
      /^Standing, open hands: in 61 of a hundred plans it is best to .+ and in 36 to hold still\.$/,
    )
  })
})
