import { demoClub as makeDemoClub, PEOPLE } from '../../../scripts/demoClub'
import type { Club } from '../../../src/core/club/clubKind'
import { shiftedBy } from '../../../src/core/club/shift'
import { membersOf } from '../../../src/core/club/whoIsThere'
import { Counts } from '../../../src/core/match/counts'
import { demoClub, demoPlan } from '../../fixtures/demoPlan'

const club = demoClub()
const plan = demoPlan()
const landed = (some: Club['tries']) => some.filter(({ outcome }) => outcome === 'lands').length / some.length

describe('the demo club', () => {
  it('is as it is made (npm run demo-club)', () => {
    expect(makeDemoClub(plan)).toEqual(club)
  })

  it('has twelve people, six weeks of classes, one that is planned, and a log that the plan knows', () => {
    expect([membersOf(club).length, club.people.length, club.sessions.length]).toEqual([12, 14, 14])
    const days = club.sessions.map(({ when }) => Date.parse(when)).sort((a, b) => a - b)
    expect((days.at(-1)! - days[0]!) / 86_400_000).toBe(42)
    expect(club.tries.length).toBeGreaterThan(550)
    expect(new Counts(plan, { tries: club.tries, now: '2026-11-24' }).unknown).toEqual([])
  })

  it('shows the differences that were put into it', () => {
    const by = (side: 'us' | 'them', names: string[]) =>
      landed(club.tries.filter((one) => names.includes(one[side] ?? '')))
    const strong = PEOPLE.filter(({ lands }) => lands >= 0.5).map(({ name }) => name.toLowerCase())
    const new_ = PEOPLE.filter(({ lands }) => lands <= -0.5).map(({ name }) => name.toLowerCase())
    expect(by('us', strong)).toBeGreaterThan(by('us', new_))
    expect(by('them', strong)).toBeLessThan(by('them', new_))
  })

  it('is brought to another day with all that happened, each as long ago as before', () => {
    const shifted = shiftedBy(club, '2027-03-02')
    expect(shifted.sessions.find(({ id }) => id === 'class-2026-11-24')?.when).toBe('2027-03-02')
    expect(shifted.tries[0]?.when).toBe('2027-01-19')
    expect(shifted.rounds).toHaveLength(club.rounds.length)
    expect(shiftedBy(shifted, '2026-11-24')).toEqual(club)
    expect(shiftedBy({ ...club, sessions: [] }, '2027-03-02').tries).toBe(club.tries)
  })
})
