import { randomLcg } from 'd3-random'
import type { Chart } from '../../../src/core/chart/chart'
import type { Club } from '../../../src/core/club/clubKind'
import { finished } from '../../reference/finished'
import { scenarioOf } from '../../../src/core/game/scenario'
import {
  brier,
  cameTrueOf,
  endsHeld,
  finishesOf,
  held,
  offMost,
  reliability,
  type CameTrue,
  type Foresaid,
} from '../../../src/core/learn/cameTrue'
import { foretell, roundsAbout } from '../../../src/core/learn/foretold'
import { playOut } from '../../../src/core/simulate/playOut'
import { NONE, TERMINAL } from '../../../src/core/game/game'
import { solved } from '../../../src/core/questions/solved'
import { demoClub, demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const club = demoClub()
const scenario = scenarioOf(plan, { sharpness: 0.2 })
const HALF_LIFE = 180
const lookBack = (chart: Chart, of: Club = club): CameTrue =>
  finished(cameTrueOf(chart, scenario, { club: of, halfLife: HALF_LIFE }))

/** The plan of somebody who is sure that everything lands far more often than it does. */
const boasting: Chart = {
  ...plan,
  moves: plan.moves.map((move) => ({
    ...move,
    ...(move.tries?.lands ? { tries: { ...move.tries, lands: move.tries.lands * 4, weight: 100_000 } } : {}),
  })),
}

test('how a round ends is foretold as it is played out with dice', () => {
  const start = 'side-control-hips-low'
  const own = scenarioOf(plan, { start: plan.positions.find(({ id }) => id === start)!.id, seconds: 60 })
  const foretold = foretell(plan, own)!
  const solution = solved(plan, own, { everySecond: true })!
  const random = randomLcg(0.21)
  const came = { tap: 0, out: 0, reversed: 0, time: 0 }
  const N = 20_000
  for (let i = 0; i < N; i++) {
    let seconds = 0
    const { terminal } = playOut(solution, random, { second: () => void seconds++ })
    const end =
      terminal === TERMINAL.caught
        ? 'reversed'
        : terminal === TERMINAL.over
          ? 'out'
          : terminal !== NONE
            ? 'tap'
            : seconds >= 60
              ? 'time'
              : 'out'
    came[end]++
  }
  for (const end of ['tap', 'out', 'reversed', 'time'] as const) {
    const p = foretold[end]
    expect(Math.abs(came[end] / N - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / N) + 1e-9)
  }
  expect(Object.values(foretold).reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9)
})

describe('what was foretold held against what came', () => {
  const found = lookBack(plan)
  const boast = lookBack(boasting)
  const tries = found.regions.flatMap((region) => region.tries)
  const boasted = boast.regions.flatMap((region) => region.tries)

  it('has all rounds and tries that can be foretold', () => {
    expect(found.rounds).toHaveLength(club.rounds.filter(({ ended }) => ended !== 'no-result').length)
    const live = club.tries.filter(({ isPartial, outcome }) => !isPartial && outcome !== 'failed')
    expect(tries).toHaveLength(live.length)
  })

  it('agrees for a plan by which the rounds were played', () => {
    // The club was played by the plan itself, with differences between people that even out.
    for (const { of, foretold, happened } of Object.values(endsHeld(found.rounds)))
      expect(Math.abs(happened - foretold)).toBeLessThan(3.5 * Math.sqrt((foretold * (1 - foretold)) / of) + 0.02)
    for (const { foretold, happened, of, low, high } of reliability(tries)) {
      const wide = of < 20 ? 0.2 : 0.06
      expect([foretold > low - wide, foretold < high + wide, happened >= low, happened <= high]).toEqual(
        Array(4).fill(true),
      )
    }
  })

  it('is far off for a plan that boasts, and says so', () => {
    const { foretold, happened } = held('all', boasted)
    expect(foretold - happened).toBeGreaterThan(0.1)
    expect(brier(boasted)).toBeGreaterThan(brier(tries) + 0.01)
    const off = reliability(boasted).filter((one) => one.of >= 30)
    expect(off.length).toBeGreaterThan(0)
    expect(off.filter((one) => one.foretold > one.high).length).toBeGreaterThan(off.length / 2)
    expect(brier(finishesOf(boast.rounds))).toBeGreaterThan(brier(finishesOf(found.rounds)))
  })

  it('comes from what was known before the day, and from nothing after', () => {
    const [first] = club.sessions
    const early = { ...club, rounds: club.rounds.filter(({ when }) => when <= first.when) }
    const blind = { ...early, tries: club.tries.filter(({ when }) => when < first.when) }
    expect(lookBack(plan, early).rounds).toEqual(lookBack(plan, blind).rounds)
  })
})

describe('the measures', () => {
  const said = (chance: number, trues: number, of: number): Foresaid[] =>
    Array.from({ length: of }, (_, i) => ({ chance, isTrue: i < trues }))

  it('are by hand those of the paper', () => {
    expect(brier(said(0.5, 5, 10))).toBeCloseTo(0.25, 12)
    expect(brier(said(1, 10, 10))).toBe(0)
    expect(brier(said(0.8, 5, 10))).toBeCloseTo((5 * 0.04 + 5 * 0.64) / 10, 12)
    expect(brier([])).toBe(0)
  })

  it('go by fifths, certainty among the last', () => {
    const all = [...said(0.1, 1, 10), ...said(0.15, 1, 10), ...said(1, 4, 4)]
    expect(reliability(all).map(({ foretold, happened, of }) => [foretold, happened, of])).toEqual([
      [expect.closeTo(0.125, 9), 0.1, 20],
      [1, 1, 4],
    ])
  })

  it('name what was off most, of what came up often enough', () => {
    const all = [held('fair', said(0.5, 20, 40)), held('off', said(0.5, 35, 40)), held('rare', said(0.1, 2, 2))]
    expect(offMost(all).map(({ name }) => name)).toEqual(['off', 'fair'])
  })
})

test('a round is as long as its block, and its partner knew what came where one move was drilled', () => {
  const [session] = club.sessions
  const move = plan.moves.find(({ from }) => from === 'turtle-at-the-flank')!
  const drilled = structuredClone(session)
  drilled.blocks.find(({ kind }) => kind === 'rounds-from')!.about = { kind: 'move', id: move.id, chart: plan.id }
  const round = { ...club.rounds[0], seconds: 12 }
  expect(roundsAbout(plan, club)(round)).toEqual({ seconds: 60, wasKnown: false })
  expect(roundsAbout(plan, { ...club, sessions: [drilled] })(round)).toEqual({ seconds: 60, wasKnown: true })
  expect(roundsAbout(plan, { sessions: [], rounds: [] })(round)).toEqual({ seconds: 12, wasKnown: false })
})
