import { randomLcg } from 'd3-random'
import { athleteOf } from '../../../src/core/club/athlete'
import { addTrial, judgeTrial, removeTrial } from '../../../src/core/club/edits/trials'
import { emptyClub } from '../../../src/core/club/clubKind'
import { matchUp } from '../../../src/core/club/matchUp'
import type { ClubPerson } from '../../../src/core/club/person'
import { turnOf, wayOf } from '../../../src/core/club/trial'
import { BODY_RULES, bodyFits, bodyRulesOf } from '../../../src/core/learn/bodyFit'
import { habitsOf } from '../../../src/core/learn/habits'
import { trialNow } from '../../../src/core/learn/trials'
import { adjusted } from '../../../src/core/match/adjust'
import { betterOf, landingOf } from '../../../src/core/match/better'
import { sharesOf } from '../../../src/core/match/shares'
import { wholeOf, type Tries } from '../../../src/core/chart/tries'
import type { LoggedTry } from '../../../src/core/match/tryLog'
import { demoClub, demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const club = demoClub()
const now = '2026-11-24'
const sum = (list: (number | undefined)[]) => list.reduce((all: number, n) => all + (n ?? 0), 0)

describe('what bodies set', () => {
  const body = (measures: ClubPerson['measures']) => ({ measures })
  const fits = (us: ClubPerson['measures'], them: ClubPerson['measures']) => bodyFits(body(us), body(them), BODY_RULES)

  it.each([
    [60, 60, 0, 4],
    [60, 69, 1, 3],
    [60, 77, 2, 3],
    [70, 60, 0, 14],
  ])('with an arm of %d against %d cm one grips %d hands nearer, by %d cm', (ours, theirs, hands, margin) => {
    expect(fits({ arms: ours }, { arms: theirs }).fits).toEqual([{ of: 'grip', hands, margin }])
  })

  it.each([
    [85, 100, 'four', 5],
    [75, 100, 'cross', 15],
    [55, 100, 'hooks', -5],
  ])('legs of %d round a waist of %d cm close as %s, by %d cm', (legs, waist, way, margin) => {
    expect(fits({ legs }, { waist }).fits).toEqual([{ of: 'legs', way, margin: expect.closeTo(margin, 9) }])
  })

  it.each([
    [75, 40, 'with-arm', 3],
    [66, 40, 'behind-head', 2],
    [60, 40, 'palm-to-palm', -4],
  ])('an arm of %d round a neck of %d cm goes %s, by %d cm', (arms, collar, way, margin) => {
    expect(fits({ arms }, { collar }).fits).toEqual([{ of: 'choke', way, margin: expect.closeTo(margin, 9) }])
  })

  it('is not said where a measure is lacking, which is named once', () => {
    expect(fits({}, { waist: 90 })).toEqual({
      fits: [],
      lacking: [
        { whose: 'ours', measure: 'arms' },
        { whose: 'theirs', measure: 'arms' },
        { whose: 'ours', measure: 'legs' },
        { whose: 'theirs', measure: 'collar' },
      ],
    })
  })

  it('goes by the factors of the club', () => {
    expect(bodyRulesOf({ bodyRules: { hand: 10 } })).toEqual({ ...BODY_RULES, hand: 10 })
    const rules = bodyRulesOf({ bodyRules: { hand: 20 } })
    expect(bodyFits(body({ arms: 60 }), body({ arms: 69 }), rules).fits[0]).toMatchObject({ hands: 0 })
  })
})

describe('habits', () => {
  const log = { tries: club.tries, now }
  const { chart } = matchUp(plan, club, { us: null, them: null }, { now })

  it('of who turns in more than others are found in the log, and of who has none are not', () => {
    const met = plan.moves.find(({ tries }) => tries?.reactions?.['turns-in-under-us'])!
    const random = randomLcg(0.4)
    const onBoth = Array.from({ length: 60 }, (_, i): LoggedTry => {
      const them = i % 2 ? 'turner' : 'usual'
      const total = (tries: Tries) => sum([tries.lands, tries.stalls, ...Object.values(tries.reactions ?? {})])
      const usual = met.tries!.reactions!['turns-in-under-us'] / total(met.tries!)
      const turns = random() < (them === 'turner' ? 0.9 : usual)
      const outcome = turns ? { reaction: 'turns-in-under-us' } : 'stalls'
      return { when: '2026-11-10', in: 'round', us: 'ada', them, move: met.id, outcome }
    })
    const { habits, openings, looked } = habitsOf(plan, { tries: onBoth, now }, 'turner')
    const [turns] = habits.filter(({ reaction }) => reaction === 'turns-in-under-us')
    expect(turns).toMatchObject({ of: 30 })
    expect(turns.times).toBe(onBoth.filter((one) => one.them === 'turner' && one.outcome !== 'stalls').length)
    expect(turns.low).toBeGreaterThan(turns.usual)
    // What lands seldom on anybody proves nothing where it never lands; it was looked at all the same.
    expect(openings).toEqual([])
    expect(looked).toBe(Object.keys(met.tries!.reactions!).length + 1)
    expect(habitsOf(chart, log, 'nobody')).toEqual({ habits: [], openings: [], looked: 0 })
  })

  it('that are written down make them do it more, by the log-odds of 5.5', () => {
    const met = plan.moves.find(({ tries }) => Object.keys(tries?.reactions ?? {}).length > 1)!
    const [reaction] = Object.keys(met.tries!.reactions!)
    const rival: ClubPerson = { id: 'rival', name: 'Rival', isRival: true, habits: { [reaction]: 2 } }
    const who = { us: null, them: athleteOf(rival, [rival]) }
    const { chart: own, match } = matchUp(plan, emptyClub('c', 'C'), who, { now })
    const [before, after] = [plan, adjusted(own, match)].map((one) =>
      sharesOf(wholeOf(one.moves.find(({ id }) => id === met.id)!)),
    )
    const others = [...before].filter(([key]) => key === 'stalls' || key.startsWith('reaction '))
    const all = others.reduce((sum, [, share]) => sum + share, 0)
    const key = `reaction ${reaction}`
    const raised = others.map(([name, share]) => share * (name === key ? Math.exp(2) : 1))
    const share = ((before.get(key) ?? 0) * Math.exp(2) * all) / raised.reduce((sum, one) => sum + one, 0)
    expect(after.get(key)).toBeCloseTo(share, 9)
    expect(after.get('lands')).toBeCloseTo(before.get('lands')!, 9)
  })

  it('of a rival are no measure of the group', () => {
    const people = [60, 70, 80, 90, 100].map((weight, i): ClubPerson => ({ id: `p${i}`, name: `p${i}`, weight }))
    const giant: ClubPerson = { id: 'giant', name: 'Giant', weight: 290, isRival: true }
    expect(athleteOf(giant, [...people, giant]).traits).toEqual({ weight: 2 })
    expect(athleteOf(people[0], [...people, giant])).toEqual(athleteOf(people[0], people))
  })

  it('and measures in cm are steps from the group', () => {
    const people = [70, 72, 74, 76, 78].map((arms, i): ClubPerson => ({
      ...{ id: `p${i}`, name: `p${i}`, measures: { arms, waist: 80 } },
    }))
    expect(athleteOf(people[4], people).traits).toEqual({ arms: 1 })
    expect(athleteOf({ ...people[4], traits: { arms: -1 } }, people).traits).toEqual({ arms: -1 })
  })
})

describe('better of two', () => {
  const [one, two] = plan.moves.filter(({ from, tries }) => from === 'turtle-at-the-flank' && tries?.lands)
  const ways = { first: { move: one.id }, second: { move: two.id } }
  const trial = { title: 'Hook or no hook', chart: plan.id, ...ways, since: '2026-10-13', judgeOn: '2026-12-13' }
  const log = { tries: club.tries, now }

  it('stands as the two land, with the tries since it began, and the weeks that it takes at that pace', () => {
    const stands = trialNow(plan, trial, log)!
    const compared = betterOf(landingOf(plan, ways.first, log)!, landingOf(plan, ways.second, log)!)
    expect(stands.compared).toEqual(compared)
    const live = (move: string) =>
      club.tries.filter((tried) => tried.move === move && tried.reply === undefined && !tried.isPartial).length
    expect(stands.tries).toEqual({ first: live(one.id), second: live(two.id) })
    const pace = (live(one.id) + live(two.id)) / 6
    expect(stands.weeks).toBe(compared.more === null ? null : Math.ceil(compared.more / pace))
    expect(trialNow(plan, { ...trial, first: { move: 'gone' as never } }, log)).toBeNull()
    expect(trialNow(plan, { ...trial, since: now }, { tries: [], now })!.weeks).toBeNull()
  })

  it('is split over who attacks, who change over in the next class', () => {
    expect([0, 1, 2].map((place) => wayOf(place, 0))).toEqual(['first', 'second', 'first'])
    expect([0, 1, 2].map((place) => wayOf(place, 1))).toEqual(['second', 'first', 'second'])
    const [first, second, third] = structuredClone(club.sessions)
    for (const one of [first, second, third]) one.blocks[2].trial = 'trial-1'
    const turns = [first, second, third].map((one) => turnOf([first, second, third], one, 'trial-1'))
    expect(turns).toEqual([0, 1, 2])
    expect(turnOf([first, second, third], third, 'trial-2')).toBe(0)
  })

  it('is judged once, on its day or after', () => {
    const own = { ...structuredClone(club), trials: [] }
    const id = addTrial(own, trial)
    const verdict = { when: '2026-12-13', chance: 0.7 }
    expect(() => judgeTrial(own, id, { ...verdict, when: '2026-12-12' })).toThrow('it is judged on 2026-12-13')
    judgeTrial(own, id, verdict)
    expect(own.trials).toEqual([{ id, ...trial, verdict }])
    expect(() => judgeTrial(own, id, { ...verdict, chance: 0.95 })).toThrow('it has been judged')
  })

  it('needs two ways, and a day that lies ahead; taking it away leaves no block that splits by it', () => {
    const own = { ...structuredClone(club), trials: [] }
    expect(() => addTrial(own, { ...trial, second: trial.first })).toThrow('one and the same')
    expect(() => addTrial(own, { ...trial, judgeOn: trial.since })).toThrow('on a day after it begins')
    const id = addTrial(own, trial)
    own.sessions[0].blocks[2].trial = id
    removeTrial(own, id)
    expect(own.trials).toEqual([])
    expect(own.sessions[0].blocks[2].trial).toBeUndefined()
    expect(() => removeTrial(own, id)).toThrow(`there is no trial "${id}"`)
  })
})
