import { randomLcg } from 'd3-random'
import type { Chart } from '../../../src/core/chart/chart'
import { toPositionId } from '../../../src/core/chart/ids'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, underRules, type Scenario } from '../../../src/core/game/scenario'
import { MATCH_CLOCKS, MATCH_SCORES, matchTable } from '../../../src/core/questions/matchTable'
import { playOut } from '../../../src/core/simulate/playOut'
import { solve } from '../../../src/core/solve/solve'
import { match, small } from '../../fixtures/smallMatch'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const chanceOf = (chart: Chart, more: Partial<Scenario>) => {
  const { values, game } = taken(solve(taken(compileGame(chart, match(chart, more)))))
  return values[game.start]
}

describe('a match by hand', () => {
  const chart = small()

  it.each([
    // No try fits: the score stands.
    [1, 0, 0.5],
    [1, 2, 1],
    [1, -2, 0],
    // One shot of 0.4 makes two points: it wins a level match, and levels one that is two behind.
    [2, 0, 0.4 + 0.6 * 0.5],
    [2, -2, 0.4 * 0.5],
    // Two shots: 1 - 0.6² that one of them lands.
    [4, 0, 0.64 + 0.36 * 0.5],
    // Two behind with five seconds: the first shot, then 0.5 to mount, or two shots.
    [5, -2, 0.4 * (0.5 + 0.5 * 0.5) + 0.6 * (0.4 * 0.5)],
    // Four behind: two and four are needed; at the end that is two ahead.
    [5, -4, 0.4 * 0.5],
    // Six behind they only level it.
    [5, -6, 0.4 * 0.5 * 0.5],
    [5, -7, 0],
  ])('with %d s and the score %d it is won %d', (seconds, score, chance) => {
    expect(chanceOf(chart, { seconds, score })).toBeCloseTo(chance, 12)
  })

  it('counts what must be held only once it was: with an action as long, or with as many seconds of waiting', () => {
    const held = small(3)
    // Two seconds to shoot, and three to hold.
    expect(chanceOf(held, { seconds: 4, score: 0 })).toBeCloseTo(0.5, 12)
    expect(chanceOf(held, { seconds: 5, score: 0 })).toBeCloseTo(0.4 + 0.6 * 0.5, 12)
    // Climbing lasts as long as what must be held, so that it loses nothing.
    expect(chanceOf(held, { seconds: 5, score: -2 })).toBeCloseTo(0.4 * 0.5, 12)
    expect(chanceOf(held, { seconds: 8, score: -2 })).toBeGreaterThan(0.4 * 0.5)
  })

  it('goes on from the feet where it is broken up, and by the score where there is no such place', () => {
    const broken = { seconds: 3, score: 0, breakUp: 2 }
    // A shot with half a chance each second of beginning again, and then too late for another.
    const once = 0.25 * (0.4 + 0.6 * 0.5) + 0.75 * 0.5
    expect(chanceOf(chart, { ...broken, seconds: 2 })).toBeCloseTo(once, 12)
    const nowhere = { ...chart, positions: chart.positions.map((one) => ({ ...one, ahead: 'ours' as const })) }
    expect(chanceOf(nowhere, { ...broken, seconds: 2 })).toBeCloseTo(once, 12)
  })

  it('asks for a clock, a score within bounds, and no more situations than can be computed', () => {
    const refused = (more: Partial<Scenario>, limit?: number) => {
      const compiled = compileGame(chart, match(chart, more), limit ? { stateLimit: limit } : {})
      return compiled.ok ? [] : compiled.problems.map(({ path }) => path.at(-1))
    }
    expect(refused({ seconds: null })).toEqual(['seconds'])
    expect(refused({ seconds: 5, score: 11 })).toEqual(['score'])
    expect(refused({ seconds: 5, restart: toPositionId('gone') })).toEqual(['restart'])
    expect(refused({ seconds: 5 }, 10)).toEqual(['objective'])
    expect(refused({ seconds: 5 })).toEqual([])
  })
})

describe('the match of the demo plan', () => {
  const plan = demoPlan()
  const scenario = scenarioOf(plan, { ...underRules(plan, 'gi-points'), sharpness: 0.2 })
  const cells = finished(matchTable(plan, scenario))!
  const cell = (score: number, seconds: number) => cells.find((one) => one.score === score && one.seconds === seconds)!

  it('is as it is played out with dice', () => {
    const [seconds, score] = [40, -2]
    const played = { ...scenario, objective: 'win' as const, goal: [], seconds, score }
    const solution = taken(solve(taken(compileGame(plan, played)), { everySecond: true }))
    expect(solution.values[solution.game.start]).toBeCloseTo(cell(score, seconds).chance, 12)
    const random = randomLcg(0.31)
    const N = 4_000
    let won = 0
    for (let i = 0; i < N; i++) won += playOut(solution, random, {}).worth
    const p = cell(score, seconds).chance
    expect(Math.abs(won / N - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / N))
  })

  it('is better with every point, and for who is ahead with less time', () => {
    for (const seconds of MATCH_CLOCKS)
      MATCH_SCORES.slice(1).forEach((score, i) =>
        expect(cell(score, seconds).chance).toBeGreaterThanOrEqual(cell(MATCH_SCORES[i], seconds).chance - 1e-9),
      )
    expect(cell(-2, 120).chance).toBeGreaterThan(cell(-2, 10).chance)
  })

  it('is played otherwise two behind than two ahead', () => {
    expect(cell(-2, 40).best).not.toBe(cell(2, 40).best)
    expect(cell(2, 40).best).toBe('wait')
  })
})
