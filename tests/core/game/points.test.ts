import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { ruleSetOf } from '../../../src/core/chart/rules/ruleSets'
import { compileGame } from '../../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { pointsOf, type ExpectedScore, type MustBeHeld } from '../../../src/core/insight/points/points'
import { scoredOf } from '../../../src/core/insight/points/scoringPass'
import type { Solution } from '../../../src/core/solve/solution'
import { solve } from '../../../src/core/solve/solve'
import { seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { refereed, SCORES } from '../../reference/referee'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const solved = (chart: Chart, instead: Partial<Scenario> = {}): Solution =>
  taken(solve(taken(compileGame(chart, scenarioOf(chart, instead))), { everySecond: true }))

/** Positions and certain moves between them, in the order given. */
function chain(places: [family: string, ahead: string, below?: string][], kinds: string[] = []): Chart {
  const positions = places.map(([family, ahead, below], i) => ({
    id: `p${i}`,
    name: `P${i}`,
    family,
    ahead,
    ...(below ? { orientation: { below } } : {}),
  }))
  const moves = places.slice(1).map((_, i) => ({
    id: `m${i}`,
    name: `M${i}`,
    kind: kinds[i] ?? 'advance',
    from: `p${i}`,
    to: `p${i + 1}`,
    seconds: 2,
    tries: { lands: 10 },
  }))
  const end = {
    id: 'end',
    name: 'End',
    kind: 'submission',
    from: `p${places.length - 1}`,
    to: 'finish',
    seconds: 3,
    tries: { lands: 10 },
  }
  return { ...emptyChart('chain', 'Chain'), positions, moves: [...moves, end] } as unknown as Chart
}
const scoredAlong = (...of: Parameters<typeof chain>) => scoredOf(solved(chain(...of), { breakUp: null, seconds: 60 }))
const nonzero = (counts: ExpectedScore['ours']) =>
  Object.fromEntries(Object.entries(counts).filter(([, n]) => typeof n === 'number' && n !== 0))

describe('what an exchange scores', () => {
  it('counts a takedown, a pass past the legs, and each control once', () => {
    const { ours, theirs } = scoredAlong(
      [
        ['standing', 'even'],
        ['guard', 'even'],
        ['side', 'ours'],
        ['knee-ride', 'ours'],
        ['mount', 'ours'],
      ],
      ['takedown'],
    )
    expect(nonzero(ours)).toEqual({
      ...{ takedown: 1, pass: 1, kneeRide: 1, mount: 1, exposure: 1 },
      controlSeconds: 7,
    })
    expect(nonzero(theirs)).toEqual({})
  })

  it('counts no takedown where we come into their guard otherwise, and none from a headlock on the ground again', () => {
    expect(
      nonzero(
        scoredAlong(
          [
            ['standing', 'even'],
            ['guard', 'even'],
          ],
          ['entry'],
        ).ours,
      ),
    ).toEqual({})
    const snapped = scoredAlong([
      ['clinch', 'even'],
      ['headlock', 'ours'],
      ['turtle', 'ours'],
      ['headlock', 'ours'],
      ['turtle', 'ours'],
    ])
    expect(snapped.ours.takedown).toBe(1)
  })

  it('counts a sweep from underneath to the top, and against us the other way about', () => {
    expect(
      nonzero(
        scoredAlong([
          ['guard', 'even', 'ours'],
          ['mount', 'ours'],
        ]).ours,
      ),
    ).toEqual({ sweep: 1, mount: 1, exposure: 1, controlSeconds: 3 })
    expect(
      nonzero(
        scoredAlong([
          ['guard', 'even', 'ours'],
          ['back', 'ours'],
        ]).ours,
      ),
    ).toEqual({ back: 1, controlSeconds: 3 })
    const lost = scoredAlong([
      ['guard', 'even', 'ours'],
      ['side', 'theirs'],
      ['guard', 'even', 'ours'],
      ['side', 'theirs'],
    ])
    expect(lost.theirs).toMatchObject({ pass: 2, sweep: 0 })
    const swept = scoredAlong([
      ['half-guard', 'even'],
      ['guard', 'even', 'ours'],
    ])
    expect(swept.theirs.sweep).toBe(1)
  })

  it('counts a control again only after whoever has it is no longer ahead', () => {
    const kept = scoredAlong([
      ['side', 'ours'],
      ['mount', 'ours'],
      ['side', 'ours'],
      ['mount', 'ours'],
    ])
    expect(kept.ours.mount).toBe(1)
    const lost = scoredAlong([
      ['side', 'ours'],
      ['mount', 'ours'],
      ['half-guard', 'even'],
      ['mount', 'ours'],
    ])
    expect(lost.ours.mount).toBe(2)
    expect(
      scoredAlong([
        ['back', 'theirs'],
        ['turtle', 'even'],
        ['back', 'theirs'],
      ]).theirs.back,
    ).toBe(1)
    expect(
      scoredAlong([
        ['mount', 'ours'],
        ['side', 'ours'],
        ['mount', 'ours'],
      ]).ours.mount,
    ).toBe(0)
  })

  it('counts what must be held only after that long, on top or in the control itself', () => {
    const along = chain(
      [
        ['standing', 'even'],
        ['side', 'ours'],
        ['knee-ride', 'ours'],
        ['mount', 'ours'],
      ],
      ['takedown'],
    )
    const solution = solved(along, { breakUp: null, seconds: 60 })
    const held = (heldFor: number) => nonzero(scoredOf(solution, { heldFor }).ours)
    // Two seconds each in side control and knee on belly, three in mount before the finish.
    expect(held(2)).toEqual({ takedown: 1, kneeRide: 1, mount: 1, exposure: 1, controlSeconds: 7 })
    expect(held(3)).toEqual({ takedown: 1, mount: 1, exposure: 1, controlSeconds: 7 })
    expect(held(4)).toEqual({ takedown: 1, exposure: 1, controlSeconds: 7 })
    expect(held(7)).toEqual({ takedown: 1, exposure: 1, controlSeconds: 7 })
    expect(held(8)).toEqual({ controlSeconds: 7 })
    // Knee on belly is no hold-down: it begins anew in mount.
    const marks = [2, 3, 4].map((seconds) => ({ seconds, points: 1 }))
    expect(scoredOf(solution, { holdDown: marks }).ours.holdDown).toEqual([2, 1, 0])
  })

  it('counts a control that is broken off only as often as it lasts', () => {
    const along = chain([
      ['side', 'ours'],
      ['mount', 'ours'],
    ])
    const { ours } = scoredOf(solved(along, { breakUp: 10, seconds: 60 }), { heldFor: 3 })
    expect(ours.mount).toBeCloseTo(0.9 ** 5, 12)
  })

  it('turns into points by the rules, control time by the second', () => {
    const { ours } = scoredAlong(
      [
        ['standing', 'even'],
        ['side', 'ours'],
        ['mount', 'ours'],
      ],
      ['takedown'],
    )
    expect(pointsOf(ours, ruleSetOf('gi-points')!)).toBe(6)
    expect(pointsOf(ours, ruleSetOf('submission-only')!)).toBe(0)
    const thrown = { ...ours, holdDown: [1, 0.5] }
    expect(pointsOf(thrown, ruleSetOf('judo')!)).toBe(5 + 5 + 2.5)
    const timed = { id: 'timed', name: 'Timed', forbids: [], controlTime: { every: 10, points: 2 } }
    expect(pointsOf(ours, timed)).toBe((5 / 10) * 2)
    expect(BUILT_IN_RULES.filter((set) => pointsOf(ours, set) > 0).length).toBeGreaterThan(2)
  })
})

const EXCHANGES = 6000

/** Rules under which a little and a long time must pass. */
const HELD: MustBeHeld = {
  heldFor: 3,
  holdDown: [
    { seconds: 5, points: 1 },
    { seconds: 12, points: 1 },
  ],
}

function expectClose(said: ExpectedScore, seen: ExpectedScore) {
  const isClose = (one: number, other: number, scale = 1) =>
    expect(Math.abs(one - other)).toBeLessThan(((5 * scale) / Math.sqrt(EXCHANGES)) * Math.max(1, one))
  for (const side of ['ours', 'theirs'] as const) {
    for (const key of SCORES) isClose(said[side][key], seen[side][key])
    said[side].holdDown.forEach((n, mark) => isClose(n, seen[side].holdDown[mark]))
    isClose(said[side].controlSeconds, seen[side].controlSeconds, 30)
  }
}

describe('exchanges that are refereed', () => {
  it.each([2, 5, 9, 14, 23, 31, 44])('score on chart %i what is expected', (seed) => {
    const random = seeded(seed * 31)
    const one = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]
    const chart = produce(randomChart(seed, seed % 2 === 0), (draft) => {
      for (const position of draft.positions) {
        position.family = one([
          'standing',
          'guard',
          'half-guard',
          'side',
          'mount',
          'knee-ride',
          'back',
          'turtle',
          'headlock',
        ])
        if (random() < 0.5) position.orientation = { below: 'ours' }
      }
      for (const move of draft.moves) if (random() < 0.4) move.kind = 'takedown'
    })
    const solution = solved(chart, randomScenario(chart, seed, true))
    expectClose(scoredOf(solution), refereed(solution, seeded(seed + 500), EXCHANGES))
    if (seed > 20) expectClose(scoredOf(solution, HELD), refereed(solution, seeded(seed + 600), EXCHANGES, HELD))
  })

  it('score in the demo plan what is expected', () => {
    const solution = solved(demoPlan(), { seconds: 90 })
    const said = scoredOf(solution)
    expect(said.ours.takedown).toBeGreaterThan(0.1)
    expectClose(said, refereed(solution, seeded(7), EXCHANGES))
    const held = scoredOf(solution, HELD)
    expectClose(held, refereed(solution, seeded(8), EXCHANGES, HELD))
    for (const score of SCORES) expect(held.ours[score]).toBeLessThanOrEqual(said.ours[score] + 1e-12)
    expect(held.ours.takedown).toBeLessThan(said.ours.takedown)
    expect(held.ours.holdDown[0]).toBeGreaterThan(held.ours.holdDown[1])
    expect(held.ours.holdDown[1]).toBeGreaterThan(0.05)
  })

  it('score as much without a clock as with a very long one', () => {
    const chart = demoPlan()
    const forever = scoredOf(solved(chart, { seconds: null, sharpness: 0 }))
    const long = scoredOf(solved(chart, { seconds: 1500, sharpness: 0 }))
    for (const key of SCORES) expect(forever.ours[key]).toBeCloseTo(long.ours[key], 4)
  })
})
