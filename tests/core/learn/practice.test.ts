import { emptyClub, type Club } from '../../../src/core/club/clubKind'
import type { Session } from '../../../src/core/club/session'
import { byRegion, isDueOn, memoryOf, Practised } from '../../../src/core/learn/practice'
import { facedIn } from '../../../src/core/learn/faced'
import { landingByMonth, triedMost } from '../../../src/core/learn/landing'
import type { LoggedTry } from '../../../src/core/match/tryLog'
import { demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const TURTLE = 'turtle-at-the-flank'
const [flank, other] = plan.moves.filter(({ from }) => from === TURTLE)
const standing = plan.moves.find(({ from }) => from === 'underhook-head-clear')!

const about = (id: string) => ({ chart: plan.id, kind: 'move' as const, id })
const session = (when: string, people: string[], blocks: Partial<Session['blocks'][number]>[]): Session => ({
  ...{ id: `class-${when}`, when, minutes: 60, people },
  blocks: blocks.map((one, i) => ({ id: `b${i}`, kind: 'watch', minutes: 5, ...one })),
})
const tried = (when: string, us: string, more: Partial<LoggedTry> = {}) => ({
  ...{ id: `${when}-${us}-${JSON.stringify(more)}`, when, in: 'round' as const, us, chart: plan.id },
  ...{ move: flank.id, outcome: 'lands' as const, ...more },
})

const club: Club = {
  ...emptyClub('club', 'Club'),
  people: ['ada', 'ben', 'cem'].map((id) => ({ id, name: id })),
  sessions: [
    session('2026-11-02', ['ada', 'ben'], [{ about: about(flank.id) }]),
    session('2026-11-09', ['ada'], [{ kind: 'try', about: about(flank.id) }]),
    session('2026-12-24', ['cem'], [{ about: about(flank.id) }]),
  ],
  tries: [
    tried('2026-11-11', 'ada'),
    tried('2026-11-11', 'ada', { outcome: 'stalls' }),
    tried('2026-11-12', 'ada', { in: 'match', outcome: 'failed' }),
    tried('2026-11-20', 'ada', { isPartial: true }),
    tried('2026-11-21', 'ben', { in: 'drill' }),
  ],
}
const TODAY = '2026-11-30'
const practised = new Practised(plan, club, TODAY)
const of = (person: string) => practised.of(person).find(({ move }) => move === flank.id)!

describe('what somebody has had of a move', () => {
  it('is when it was shown and drilled, and what landed live, in rounds and in matches apart', () => {
    expect(of('ada')).toEqual({
      ...{ move: flank.id, shown: '2026-11-02', drilled: '2026-11-09', landed: '2026-11-11' },
      ...{ rounds: { lands: 1, of: 2 }, matches: { lands: 0, of: 1 }, due: '2026-12-09' },
    })
  })

  it('is due a week after it was shown, and twice as long after each day on which it was drilled or landed', () => {
    // Shown only: a week. Drilled on the 9th and landed on the 11th: four weeks after the 11th.
    expect(of('ben')).toMatchObject({ shown: '2026-11-02', drilled: null, due: '2026-11-09' })
    expect([isDueOn(of('ben'), '2026-11-08'), isDueOn(of('ben'), '2026-11-09')]).toEqual([false, true])
    expect(isDueOn(of('ada'), TODAY)).toBe(false)
  })

  it('leaves out what lies ahead, and what a partner let happen', () => {
    expect(of('cem')).toMatchObject({ shown: null, due: null })
    expect(of('ben').rounds).toEqual({ lands: 0, of: 0 })
  })

  it('is counted for a group, a person each once', () => {
    const memory = memoryOf(practised, ['ada', 'ben', 'cem'], TODAY)
    expect(memory.find(({ move }) => move === flank.id)).toEqual({
      ...{ move: flank.id, shown: 2, drilled: 1, landed: 1, due: 1, of: 3 },
    })
    expect(memory.find(({ move }) => move === other.id)).toMatchObject({ shown: 0, due: 0 })
  })

  it('lies in the region that the move is tried from', () => {
    const regions = byRegion(plan, practised.of('ada'))
    expect(regions.flatMap(({ records }) => records)).toHaveLength(plan.moves.length)
    expect(regions.find(({ records }) => records.some(({ move }) => move === flank.id))?.name).toBe('Turtle, rides')
    expect(regions.find(({ records }) => records.some(({ move }) => move === standing.id))?.name).toBe(
      'Standing, clinch',
    )
  })
})

describe('against whom', () => {
  const person = (id: string, weight: number, experience: 'first-months' | 'competes') => ({
    ...{ id, name: id, weight, experience },
  })
  const people = [
    person('ada', 70, 'competes'),
    person('light', 60, 'first-months'),
    person('heavy', 90, 'first-months'),
    person('strong', 95, 'competes'),
  ]
  const on = (...partners: string[]) => partners.map((them) => tried('2026-11-11', 'ada', { them }))
  const [ada] = people

  it.each([
    [['light', 'light', 'heavy'], { weight: 'lighter', isBeginner: true, tries: 2 }, 2],
    [['light', 'heavy', 'strong'], { weight: null, isBeginner: true, tries: 2 }, 3],
    [['strong', 'heavy', 'strong'], { weight: 'heavier', isBeginner: false, tries: 3 }, 2],
    [['light', 'strong'], null, 2],
  ])('of %j more than half are %j', (partners, mostly, n) => {
    const faced = facedIn(on(...partners), ada, people)
    expect(faced).toEqual({ tries: partners.length, mostly, partners: n })
  })

  it('is not said of partners whom nobody named', () => {
    expect(facedIn([tried('2026-11-11', 'ada')], ada, people)).toEqual({ tries: 1, mostly: null, partners: 0 })
  })
})

describe('how often a move lands by month', () => {
  const log = [
    tried('2026-09-30', 'ada'),
    tried('2026-11-01', 'ada', { outcome: 'stalls' }),
    tried('2026-11-30', 'ben'),
    tried('2026-11-30', 'ben', { move: other.id }),
    tried('2026-12-01', 'ben', { isPartial: true }),
  ]

  it('has every month from the first to the last live try, and counts live tries', () => {
    const { months, landing } = landingByMonth(log, flank.id)
    expect(months).toEqual(['2026-09', '2026-10', '2026-11'])
    expect(landing.map((one) => one && [one.lands, one.of])).toEqual([[1, 1], null, [1, 2]])
    expect(landingByMonth(log, null).landing[2]).toMatchObject({ lands: 2, of: 3 })
    expect(landingByMonth([], null)).toEqual({ months: [], landing: [] })
  })

  it('is within what so few tries can tell', () => {
    const [first] = landingByMonth(log, flank.id).landing
    // One of one: the score interval runs from 1 / (1 + z²) to 1.
    expect(first!.low).toBeCloseTo(1 / (1 + 1.2816 ** 2), 9)
    expect(first!.high).toBeCloseTo(1, 9)
    expect(triedMost(log)).toEqual([flank.id, other.id])
  })
})
