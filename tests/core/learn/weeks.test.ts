import { dayAfter } from '../../../src/core/club/days'
import { matchUp } from '../../../src/core/club/matchUp'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { learnedSince, leakChanges, mondayOf, weeksOf } from '../../../src/core/learn/weeks'
import { adjusted } from '../../../src/core/match/adjust'
import { demoClub, demoPlan } from '../../fixtures/demoPlan'
import { finished } from '../../reference/finished'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const club = demoClub()
const now = '2026-11-22'
const HALF_LIFE = 180
const nobody = { us: null, them: null }
const { chart } = matchUp(plan, club, nobody, { now })
const scenario = scenarioOf(chart)
const tries = club.tries.filter(({ when }) => when <= now)
const asked = { tries, halfLife: HALF_LIFE, now }

test('a week begins on its Monday', () => {
  expect(['2026-11-22', '2026-11-23', '2026-11-29', '2026-12-01', '2024-02-29'].map(mondayOf)).toEqual([
    ...['2026-11-16', '2026-11-23', '2026-11-23', '2026-11-30', '2024-02-26'],
  ])
})

describe('the plan week by week', () => {
  const weeks = finished(weeksOf(chart, scenario, asked))

  it('has each week from the first live try to today', () => {
    const mondays = weeks.map(({ monday }) => monday)
    expect(mondays[0]).toBe(mondayOf(tries.map(({ when }) => when).toSorted()[0]))
    expect(mondays.at(-1)).toBe('2026-11-16')
    mondays.slice(1).forEach((monday, i) => expect(monday).toBe(dayAfter(mondays[i], 7)))
  })

  it('is worth at the end of each what the plan is worth with the log until then', () => {
    for (const { monday, worth } of [weeks[0], weeks.at(-1)!]) {
      const end = dayAfter(monday, 6)
      const log = { tries: club.tries.filter(({ when }) => when <= end), now: end }
      const { figures } = taken(figuresOf(adjusted(chart, { ...nobody, log }), scenario))
      expect(worth).toBe(figures.value)
    }
  })

  it('counts the live tries of each', () => {
    const live = tries.filter(({ isPartial, outcome }) => !isPartial && outcome !== undefined)
    expect(weeks.reduce((sum, week) => sum + week.tries, 0)).toBe(live.length)
  })

  it('says what leaks more and what leaks less', () => {
    const [first, last] = [weeks[0], weeks.at(-1)!]
    const changes = leakChanges(first, last)
    expect(changes.length).toBeGreaterThan(0)
    for (const { leak, before, after } of changes) {
      const costIn = (week: typeof first) => week.leaks.find(({ key }) => key === leak.key)?.cost ?? 0
      expect([before, after]).toEqual([costIn(first), costIn(last)])
    }
    expect(leakChanges(first, first)).toEqual([])
  })

  it('is empty where nothing was tried', () => {
    expect(finished(weeksOf(chart, scenario, { ...asked, tries: [] }))).toEqual([])
  })
})

describe('what was learned since a day', () => {
  const since = '2026-11-16'
  const learned = finished(learnedSince(chart, scenario, { ...asked, since }))

  it('names each thing that was tried live since, the largest change of worth first', () => {
    const fresh = tries.filter(({ when, isPartial }) => when >= since && !isPartial)
    expect(learned.reduce((sum, one) => sum + one.tries, 0)).toBeGreaterThan(fresh.length * 0.9)
    const sizes = learned.map(({ worth }) => Math.abs(worth))
    expect(sizes).toEqual(sizes.toSorted((a, b) => b - a))
    expect(sizes[0]).toBeGreaterThan(0)
  })

  it('is for each the plan with all of the log against the plan without those tries', () => {
    const [first] = learned
    const isOf = (one: (typeof tries)[number]) =>
      one.move === first.move && one.reply === first.reply && one.when >= since && !one.isPartial
    const worthOf = (some: typeof tries) =>
      taken(figuresOf(adjusted(chart, { ...nobody, log: { tries: some, now } }), scenario)).figures.value
    expect(first.worth).toBeCloseTo(worthOf(tries) - worthOf(tries.filter((one) => !isOf(one))), 9)
    expect(first.tries).toBe(tries.filter(isOf).length)
    expect(Math.sign(first.after - first.before)).not.toBe(0)
  })
})
