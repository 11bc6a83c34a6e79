import { addPeople, removePerson } from '../../../src/core/club/edits/people'
import { keepRehearsed } from '../../../src/core/club/edits/rehearsed'
import { askedKey, KNOWN, type Known, type Rehearsed } from '../../../src/core/club/rehearsed'
import { CLUB_KIND, emptyClub } from '../../../src/core/club/clubKind'
import { makeDocument, readDocument } from '../../../src/core/document/read'
import type { Card } from '../../../src/core/rehearse/cards'
import { factsOf, lastAskedOf, missedAmong, recallOf } from '../../../src/core/rehearse/recall'
import { A_SITTING, knownBy, memoriesOf, sittingOf, standingOf } from '../../../src/core/rehearse/schedule'
import { taken } from '../../reference/taken'

const MINUTE = 60_000
const DAY = 24 * 60 * MINUTE
const START = Date.UTC(2026, 10, 30, 18)
let n = 0
const fact = (position: string, known: Known, at: number, more: Partial<Rehearsed> = {}): Rehearsed => ({
  ...{ id: `k${++n}`, at, chart: 'tern-street', position, known },
  ...more,
})
const card = (position: string, cost: number): Card => ({
  ...{ key: askedKey({ position }), asked: { position }, answer: 'wait', choices: ['wait', 'go'], cost },
})

describe('when an answer is due again', () => {
  it('is after ten minutes the first time it was known, and then after days that grow', () => {
    const facts: Rehearsed[] = []
    const gaps: number[] = []
    let at = START
    for (let i = 0; i < 6; i++) {
      facts.push(fact('mount', 'good', at))
      const due = memoriesOf(facts)
        .get(askedKey({ position: 'mount' }))!
        .due.getTime()
      gaps.push(due - at)
      at = due
    }
    expect(gaps[0]).toBe(10 * MINUTE)
    // The published defaults: two days, and each time it is known about four to five times as long.
    expect(Math.round(gaps[1]! / DAY)).toBeGreaterThanOrEqual(2)
    for (let i = 2; i < 6; i++) expect(gaps[i]!).toBeGreaterThan(1.5 * gaps[i - 1]!)
  })

  it('is sooner the worse it was known', () => {
    const due = (known: Known) => memoriesOf([fact('mount', known, START)]).get(askedKey({ position: 'mount' }))!.due
    const dues = KNOWN.map((known) => due(known).getTime())
    expect(dues).toEqual(dues.toSorted((a, b) => a - b))
    expect(new Set(dues).size).toBe(4)
    expect(dues[0]).toBe(START + MINUTE)
  })

  it('is the same in whatever order the facts came together', () => {
    const facts = Array.from({ length: 30 }, (_, i) =>
      fact(i % 2 ? 'mount' : 'back', i % 5 ? 'good' : 'again', START + i * 7 * 60 * MINUTE),
    )
    expect(memoriesOf(facts.toReversed())).toEqual(memoriesOf(facts))
  })
})

it('what was picked is known as well as it was quick', () => {
  expect([knownBy(true, 3), knownBy(true, 40), knownBy(false, 3), knownBy(false, 40)]).toEqual([
    ...['good', 'hard', 'again', 'again'],
  ])
  expect([knownBy(true, 12), knownBy(true, 12.1)]).toEqual(['good', 'hard'])
})

describe('a sitting', () => {
  const deck = Array.from({ length: 14 }, (_, i) => card(`p${i}`, 14 - i))

  it('asks what is due, then what is new, the costliest first, ten at most', () => {
    const facts = [fact('p12', 'again', START), fact('p3', 'good', START), fact('p0', 'easy', START)]
    const now = START + 10 * MINUTE
    const asked = sittingOf(deck, facts, now).map(({ asked: { position } }) => position)
    expect(asked).toEqual(['p3', 'p12', 'p1', 'p2', 'p4', 'p5', 'p6', 'p7', 'p8', 'p9'])
    expect(asked).toHaveLength(A_SITTING)
    expect(standingOf(deck, facts, now)).toMatchObject({ fresh: 11, due: 2, known: 1 })
    // What was not known is due at once, what was known after ten minutes.
    expect(standingOf(deck, facts, START)).toMatchObject({ fresh: 11, due: 1, known: 2, next: now })
    expect(standingOf(deck, [], START)).toEqual({ fresh: 14, due: 0, known: 0, next: null })
  })

  it('has the earliest of what is known as the next that is due', () => {
    const facts = [fact('p1', 'easy', START), fact('p2', 'good', START), fact('p3', 'good', START + MINUTE)]
    expect(standingOf(deck, facts, START + 2 * MINUTE)).toEqual({
      fresh: 11,
      due: 0,
      known: 3,
      next: START + 10 * MINUTE,
    })
    expect(standingOf(deck, facts, START + 10 * MINUTE)).toMatchObject({ due: 1, known: 2, next: START + 11 * MINUTE })
  })

  it('asks nothing once all is known until later', () => {
    const facts = deck.map(({ asked: { position } }) => fact(position, 'easy', START))
    expect(sittingOf(deck, facts, START + MINUTE)).toEqual([])
  })

  it('is of one person and one chart', () => {
    const facts = [
      fact('mount', 'good', START, { us: 'mara' }),
      fact('mount', 'good', START),
      fact('mount', 'good', START, { us: 'mara', chart: 'other' }),
    ]
    expect(factsOf(facts, 'mara', 'tern-street')).toEqual([facts[0]])
    expect(factsOf(facts, undefined, 'tern-street')).toEqual([facts[1]])
  })
})

it('what somebody was asked counts each question once, as it was known the last time', () => {
  expect(recallOf([])).toBeNull()
  const facts = [
    fact('mount', 'good', START + 2),
    fact('mount', 'again', START),
    fact('back', 'good', START),
    fact('back', 'again', START + 1),
    fact('turtle', 'hard', START),
  ]
  expect(recallOf(facts)).toEqual({ asked: 3, known: 2, missed: [facts[3]], last: START + 2 })
})

it('of some people it is counted who was asked for something, and who did not know all of it the last time', () => {
  const by = (us: string, position: string, known: Known, at: number, chart = 'tern-street') =>
    fact(position, known, START + at, { us, chart })
  const facts = [
    ...[by('mara', 'mount', 'again', 0), by('mara', 'mount', 'good', 1), by('mara', 'back', 'again', 2)],
    ...[by('bo', 'mount', 'good', 0), by('bo', 'mount', 'again', 5), by('bo', 'back', 'good', 1)],
    ...[by('cy', 'mount', 'again', 0, 'other'), by('dee', 'mount', 'again', 0)],
  ]
  const last = lastAskedOf(facts, ['mara', 'bo', 'cy'], 'tern-street')
  expect(last.map((some) => some.map(({ position, known }) => `${position} ${known}`).toSorted())).toEqual([
    ['back again', 'mount good'],
    ['back good', 'mount again'],
    [],
  ])
  const about = (...places: string[]) => missedAmong(last, ({ position }) => places.includes(position))
  expect(about('mount')).toEqual({ asked: 2, missed: 1 })
  expect(about('back')).toEqual({ asked: 2, missed: 1 })
  expect(about('mount', 'back')).toEqual({ asked: 2, missed: 2 })
  expect(about('turtle')).toEqual({ asked: 0, missed: 0 })
})

describe('what was rehearsed, in the club', () => {
  it('goes with the file, and with the person', () => {
    const club = emptyClub('club', 'Club')
    const [mara] = addPeople(club, ['Mara'])
    keepRehearsed(club, { at: START, us: mara!, chart: 'tern-street', position: 'mount', known: 'again' })
    keepRehearsed(club, {
      at: START,
      chart: 'tern-street',
      position: 'mount',
      cue: 'nothing',
      known: 'good',
      in: 'spar',
    })
    const read = taken(readDocument(CLUB_KIND, JSON.parse(makeDocument(club))))
    expect(read.rehearsed).toEqual(club.rehearsed)
    removePerson(club, mara!)
    expect(club.rehearsed).toHaveLength(1)
    expect(club.rehearsed![0]!.us).toBeUndefined()
  })

  it('is not kept of a minor before a guardian has agreed', () => {
    const club = emptyClub('club', 'Club')
    const [ada] = addPeople(club, ['A. D.'], { ageBand: '10-13' })
    const keep = () =>
      keepRehearsed(club, { at: START, us: ada!, chart: 'tern-street', position: 'mount', known: 'good' })
    expect(keep).toThrow('nothing is kept of a minor')
    club.people[0]!.guardianAgrees = true
    keep()
    expect(club.rehearsed).toHaveLength(1)
  })

  it.each([
    [{ known: 'perhaps' }, 'known'],
    [{ at: -1 }, 'at'],
    [{ at: 1.5 }, 'at'],
    [{ us: 'nobody' }, 'us'],
    [{ chair: 'ours' }, 'chair'],
    [{ position: '' }, 'position'],
  ])('is refused by name where it is wrong: %j', (wrong, field) => {
    const club = { ...emptyClub('club', 'Club'), rehearsed: [{ ...fact('mount', 'good', START), ...wrong }] }
    const read = readDocument(CLUB_KIND, club)
    expect(read).toMatchObject({ ok: false, problems: [{ path: ['rehearsed', 0, field] }] })
  })
})
