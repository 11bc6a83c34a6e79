import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { SCORING_ACTIONS, type ScoringAction } from '../../../src/core/chart/rules/ruleSet'
import { ruleSetOf } from '../../../src/core/chart/rules/ruleSets'
import { compileGame } from '../../../src/core/game/compileGame'
import { NONE, OUTCOME, TERMINALS } from '../../../src/core/game/game'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { noCounts, pointsOf, type ExpectedScore, type MustBeHeld } from '../../../src/core/insight/points/points'
import { scoredOf } from '../../../src/core/insight/points/scoringPass'
import type { Solution } from '../../../src/core/solve/solution'
import { solve } from '../../../src/core/solve/solve'
import { seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { playOut } from '../../../src/core/simulate/playOut'
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

/** Plays exchanges with dice and keeps the score as a referee would, one event and one second after the other. */
function refereed(solution: Solution, random: () => number, rules: MustBeHeld = {}): ExpectedScore {
  const { heldFor = 0, holdDown = [] } = rules
  const total: ExpectedScore = { ours: noCounts(rules), theirs: noCounts(rules) }
  const { game } = solution
  const { index, groupPlace, actionMove, outcomeKind } = game.meaning
  const positionAt = (state: number) => {
    const g = state < TERMINALS ? NONE : game.stateGroup[state]
    return g === NONE || game.groupIsReaction[g] ? undefined : index.positions[groupPlace[g]].record
  }
  for (let i = 0; i < EXCHANGES; i++) {
    let where = ''
    let isRunning = false
    const counted = { ours: new Set<ScoringAction>(), theirs: new Set<ScoringAction>() }
    let waiting: { side: 'ours' | 'theirs'; score: ScoringAction; age: number }[] = []
    const controls = { ours: new Map<ScoringAction, number>(), theirs: new Map<ScoringAction, number>() }
    const pinned: { ours: number | null; theirs: number | null } = { ours: null, theirs: null }
    const happen = (side: 'ours' | 'theirs', score: ScoringAction) => {
      if (heldFor === 0) total[side][score]++
      else waiting.push({ side, score, age: 0 })
    }
    const count = (side: 'ours' | 'theirs', score: ScoringAction, age: number) => {
      if (age !== heldFor || counted[side].has(score)) return
      total[side][score]++
      counted[side].add(score)
    }
    const lastSecond = () => {
      if (!isRunning) return
      isRunning = false
      for (const one of waiting) if (++one.age === heldFor) total[one.side][one.score]++
      waiting = waiting.filter(({ age }) => age < heldFor)
      for (const side of ['ours', 'theirs'] as const) {
        for (const [score, age] of controls[side]) {
          controls[side].set(score, age + 1)
          count(side, score, age + 1)
        }
        if (pinned[side] === null) continue
        pinned[side]++
        holdDown.forEach(({ seconds }, mark) => (total[side].holdDown[mark] += Number(seconds === pinned[side])))
      }
    }
    const come = (state: number, byTakedown: boolean, isStart: boolean) => {
      const position = positionAt(state)
      if (!position) return
      const { family } = position
      const isGuard = ['guard', 'half-guard'].includes(family)
      const ahead = isGuard ? 'even' : position.ahead
      const isPast = ['side', 'knee-ride', 'mount', 'north-south'].includes(family)
      const isHeld = (isPast || ['turtle', 'ride', 'back', 'crucifix'].includes(family)) && ahead !== 'even'
      const below = position.orientation?.below === 'ours' ? 'guard ours' : 'guard theirs'
      const isOnTop = (side: 'ours' | 'theirs') => (isGuard ? below !== `guard ${side}` : isHeld && ahead === side)
      waiting = waiting.filter(({ side }) => isOnTop(side))
      if (isGuard) {
        if (where === 'feet' && below === 'guard theirs' && byTakedown) happen('ours', 'takedown')
        if (where.startsWith('guard') && where !== below) happen(below === 'guard theirs' ? 'ours' : 'theirs', 'sweep')
      }
      for (const side of ['ours', 'theirs'] as const) {
        const holds = new Set<ScoringAction>()
        if (isHeld && ahead === side) {
          const control = { 'knee-ride': 'kneeRide', mount: 'mount', back: 'back' }[family] as ScoringAction | undefined
          if (control) holds.add(control)
          if (isPast) holds.add('exposure')
        }
        if (ahead !== side) counted[side].clear()
        for (const score of controls[side].keys()) if (!holds.has(score)) controls[side].delete(score)
        for (const score of holds) {
          if (isStart) counted[side].add(score)
          if (!controls[side].has(score)) controls[side].set(score, 0)
          count(side, score, controls[side].get(score)!)
        }
        const isPin = isHeld && ahead === side && isPast && family !== 'knee-ride'
        pinned[side] = isPin ? (pinned[side] ?? 0) : null
      }
      if (isHeld) {
        const side = ahead as 'ours' | 'theirs'
        const other = side === 'ours' ? 'theirs' : 'ours'
        if (where === 'feet') happen(side, 'takedown')
        if (where === `guard ${side}` && !['back', 'crucifix'].includes(family)) happen(side, 'sweep')
        if (where === `guard ${other}` && isPast) happen(side, 'pass')
      }
      const isNowhere = !isGuard && !isHeld && !['standing', 'clinch'].includes(family)
      if (!isNowhere) where = isGuard ? below : isHeld ? `held ${ahead}` : 'feet'
      else if (where.startsWith('held')) where = ''
    }
    come(game.start, false, true)
    playOut(solution, random, {
      second: () => {
        lastSecond()
        isRunning = true
        if (where === 'held ours') total.ours.controlSeconds++
        if (where === 'held theirs') total.theirs.controlSeconds++
      },
      arrived: (state, action, outcome) => {
        lastSecond()
        come(
          state,
          outcome !== NONE &&
            outcomeKind[outcome] === OUTCOME.lands &&
            index.moves[actionMove[action]]?.record.kind === 'takedown',
          false,
        )
      },
    })
  }
  for (const counts of [total.ours, total.theirs]) {
    for (const key of [...SCORES, 'controlSeconds'] as const) counts[key] /= EXCHANGES
    counts.holdDown = counts.holdDown.map((n) => n / EXCHANGES)
  }
  return total
}

const SCORES = Object.keys(SCORING_ACTIONS) as ScoringAction[]
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
    expectClose(scoredOf(solution), refereed(solution, seeded(seed + 500)))
    if (seed > 20) expectClose(scoredOf(solution, HELD), refereed(solution, seeded(seed + 600), HELD))
  })

  it('score in the demo plan what is expected', () => {
    const solution = solved(demoPlan(), { seconds: 90 })
    const said = scoredOf(solution)
    expect(said.ours.takedown).toBeGreaterThan(0.1)
    expectClose(said, refereed(solution, seeded(7)))
    const held = scoredOf(solution, HELD)
    expectClose(held, refereed(solution, seeded(8), HELD))
    for (const score of SCORES) expect(held.ours[score]).toBeLessThanOrEqual(said.ours[score] + 1e-12)
    expect(held.ours.takedown).toBeLessThan(said.ours.takedown)
    expect(held.ours.holdDown[0]).toBeGreaterThan(held.ours.holdDown[1])
    expect(held.ours.holdDown[1]).toBeGreaterThan(0.05)
  })

  it('score as much without a clock as with a very long one', () => {
    const chart = demoPlan()
    const forever = scoredOf(solved(chart, { seconds: null, sharpness: 0 }))
    const long = scoredOf(solved(chart, { seconds: 1500, sharpness: 0 }))
    for (const key of Object.keys(SCORING_ACTIONS) as ScoringAction[])
      expect(forever.ours[key]).toBeCloseTo(long.ours[key], 4)
  })
})
