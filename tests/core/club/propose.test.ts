import fc from 'fast-check'
import { produce } from 'immer'
import { randomLcg } from 'd3-random'
import { CLUB_KIND, emptyClub } from '../../../src/core/club/clubKind'
import { addSession } from '../../../src/core/club/edits/sessions'
import { takeProposal } from '../../../src/core/club/edits/takeProposal'
import {
  LEAST_MINUTES,
  MOST_MINUTES,
  MOST_THINGS,
  proposals,
  shareAfter,
  themeMinutes,
  worthOf,
  type Drillable,
} from '../../../src/core/club/propose'
import { bandsOf } from '../../../src/core/chart/bands'
import { checkDocument } from '../../../src/core/document/read'
import { scenarioOf } from '../../../src/core/game/scenario'
import { drillGains } from '../../../src/core/questions/gains'
import { stepped } from '../../../src/core/questions/shifted'
import { startWorth } from '../../../src/core/questions/solved'
import { drillStep, withTries } from '../../../src/core/questions/target'
import { demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'

const thing = (move: string, gain: number, more: Partial<Drillable> = {}): Drillable => ({
  ...{ move, gain, theme: 'side', isDue: false, isMissed: false },
  ...more,
})

/** The most that any class of one theme is worth: all ways to give whole minutes to at most three things. */
function bestByTrying(some: readonly Drillable[], minutes: number): number {
  let best = 0
  const go = (at: number, left: number, things: number, worth: number) => {
    best = Math.max(best, worth)
    if (at === some.length || things === MOST_THINGS) return
    go(at + 1, left, things, worth)
    const { gain, isDue: due, isMissed: missed } = some[at]
    for (let m = LEAST_MINUTES; m <= Math.min(left, MOST_MINUTES); m++)
      go(at + 1, left - m, things + 1, worth + gain * (due ? 1.25 : 1) * (missed ? 1.25 : 1) * shareAfter(m))
  }
  go(0, minutes, 0, 0)
  return best
}

describe('a class that is proposed', () => {
  it('is worth as much as the best of all that there are', () => {
    const anything = fc.record({
      ...{ gain: fc.double({ min: 0.0001, max: 0.05, noNaN: true }), isDue: fc.boolean(), isMissed: fc.boolean() },
    })
    fc.assert(
      fc.property(
        fc.array(anything, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 3, max: 28 }),
        (some, minutes) => {
          const things = some.map(({ gain, ...more }, i) => thing(`m${i}`, gain, more))
          const [best] = proposals(things, minutes)
          expect(best?.counts ?? 0).toBeCloseTo(bestByTrying(things, minutes), 12)
          if (!best) return
          expect(best.things.reduce((sum, one) => sum + one.minutes, best.rounds)).toBe(minutes)
          expect(Math.max(...best.things.map((one) => one.minutes))).toBeLessThanOrEqual(MOST_MINUTES)
        },
      ),
      { seed: 4, numRuns: 150, examples: [[[{ gain: 0.03, isDue: false, isMissed: false }], 28]] },
    )
  })

  it('has one theme, and what brings nothing in no class', () => {
    const found = proposals(
      [thing('a', 0.02), thing('b', 0.03, { theme: 'back' }), thing('c', -0.01), thing('d', 0, { theme: 'mount' })],
      20,
    )
    expect(found.map(({ theme, things }) => [theme, things.map(({ move }) => move)])).toEqual([
      ['back', ['b']],
      ['side', ['a']],
    ])
    expect(proposals([thing('a', 0.02)], 4)).toEqual([])
    // One thing alone is not drilled for the whole hour: what is left is rounds.
    expect(proposals([thing('a', 0.02)], 35)[0]).toMatchObject({ rounds: 15, things: [{ minutes: 20 }] })
    // Half of what a drill brings is there after ten minutes.
    expect(worthOf(proposals([thing('a', 0.02)], 10)[0].things)).toBeCloseTo(0.01, 12)
  })

  it('puts what is due, or was not known, before what brings a little more, and brings no more for it', () => {
    const some = [thing('a', 0.024, { theme: 'back' }), thing('b', 0.02, { isDue: true })]
    const [first, second] = proposals(some, 10)
    expect([first, second].map(({ theme }) => theme)).toEqual(['side', 'back'])
    expect(first.counts).toBeCloseTo(0.0125, 12)
    expect([worthOf(first.things), worthOf(second.things)]).toEqual([0.01, 0.012])
    const both = proposals([thing('b', 0.02, { isDue: true, isMissed: true })], 10)[0]
    expect([both.counts, worthOf(both.things)]).toEqual([0.015625, 0.01])
  })

  it('goes into the class: watched, tried, and worked from where it begins, in the minutes that there are', () => {
    const plan = demoPlan()
    const club = produce(emptyClub('tern', 'Tern'), (draft) => {
      const id = addSession(draft, '2026-11-24')
      const things = proposals([thing('americana', 0.03), thing('kimura', 0.02)], themeMinutes(draft.sessions[0]))[0]!
        .things
      takeProposal(draft, id, plan, 'Side control', things)
    })
    const [session] = club.sessions
    expect(session?.theme).toBe('Side control')
    expect(session?.blocks.map(({ kind }) => kind)).toEqual([
      ...['warm-up', 'watch', 'try', 'watch', 'try', 'rounds-from', 'free-rounds', 'cool-down'],
    ])
    expect(session?.blocks.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(60)
    expect(session?.blocks[5]).toMatchObject({ about: { kind: 'position', id: 'side-control-head-and-far-arm' } })
    expect(checkDocument(CLUB_KIND, club)).toEqual([])
  })

  it('brings more than half of 200 random classes of the hour, with landing raised as the minutes say', () => {
    const plan = demoPlan()
    const scenario = scenarioOf(plan)
    const themes = new Map(
      bandsOf(plan.positions).flatMap(({ name, positions }) => positions.map(({ id }) => [id, name] as const)),
    )
    const drills = finished(drillGains(plan, scenario)).flatMap((gain) =>
      gain.of === 'drill' && gain.target.of === 'move' ? [{ ...gain, target: gain.target }] : [],
    )
    const MINUTES = 35
    /** What the start is worth after a class: each thing lands as much more as its minutes say. */
    const after = (things: readonly { move: string; minutes: number }[]) =>
      startWorth(
        things.reduce((chart, { move, minutes }) => {
          const { kind } = plan.moves.find(({ id }) => id === move)!
          const step = drillStep(plan, kind) * shareAfter(minutes)
          return withTries(chart, { of: 'move', move: move as never }, (tries) => stepped(tries, { of: 'lands' }, step))
        }, plan),
        scenario,
      )!
    const some = drills.map(({ target, gain }) =>
      thing(target.move, gain, { theme: themes.get(plan.moves.find(({ id }) => id === target.move)!.from)! }),
    )
    const { things } = proposals(some, MINUTES)[0]
    const best = after(things)
    // What it says it brings is what the whole chart says, solved anew: things help each other on by a little.
    expect(worthOf(things) / (best - startWorth(plan, scenario)!)).toBeGreaterThan(0.9)
    expect(worthOf(things) / (best - startWorth(plan, scenario)!)).toBeLessThan(1.1)
    const random = randomLcg(0.19)
    const own = plan.moves.filter(({ tries }) => tries)
    const others = Array.from({ length: 200 }, () => {
      const n = 1 + Math.floor(random() * MOST_THINGS)
      const moves = Array.from({ length: n }, () => own[Math.floor(random() * own.length)].id)
      return after([...new Set(moves)].map((move) => ({ move, minutes: Math.floor(MINUTES / n) })))
    }).sort((a, b) => a - b)
    expect(best).toBeGreaterThan(others[100])
    // And not by a hair: it is among the best tenth.
    expect(best).toBeGreaterThan(others[180])
  })
})
