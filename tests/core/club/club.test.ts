import { produce } from 'immer'
import { CLUB_KIND, emptyClub, type Club } from '../../../src/core/club/clubKind'
import { addPeople, namesIn, removePerson, setPerson } from '../../../src/core/club/edits/people'
import { toMoveId } from '../../../src/core/chart/ids'
import { openRefused } from '../../../src/core/club/edits/sessions'
import { limitsOf } from '../../../src/core/club/limits'
import { hurts, refusedFor, refusedInBlock, refusedOf, stillRefused } from '../../../src/core/club/protect'
import type { ClubPerson } from '../../../src/core/club/person'
import { parsingJob } from '../../../src/core/document/read'
import { finished } from '../../reference/finished'
import { demoPlan } from '../../fixtures/demoPlan'

const parse = (club: unknown) => finished(parsingJob(CLUB_KIND, JSON.stringify(club)))

function tern(): Club {
  return produce(emptyClub('tern', 'Tern Street'), (club) => {
    addPeople(club, ['Ana', 'Bo', 'Cy'])
    setPerson(club, 'bo', 'notWith', ['cy'])
    club.sessions.push({
      ...{ id: 'tuesday', when: '2026-11-24', minutes: 60, people: ['ana', 'bo'], guests: { adults: 1, children: 0 } },
      blocks: [
        { id: 'warm-up', kind: 'warm-up', minutes: 10 },
        { id: 'watch', kind: 'watch', minutes: 5, about: { kind: 'move', id: 'kimura' }, points: ['Elbow in'] },
      ],
    })
    club.rounds.push({ id: 'r1', when: '2026-11-24', us: 'ana', them: 'bo', seconds: 42, ended: 'had-it' })
    club.tries.push({
      ...{ id: 't1', when: '2026-11-24', in: 'round', us: 'ana', them: 'bo', session: 'tuesday' },
      ...{ move: 'kimura' as never, outcome: { reaction: 'turns-in' } },
    })
  })
}

describe('a club', () => {
  it('is read as it was written', () => {
    expect(parse(tern())).toEqual({ ok: true, value: tern() })
  })

  it.each([
    ['people.0.ageBand', (club: Club) => Object.assign(club.people[0], { ageBand: 'old' })],
    ['people.0.traits', (club: Club) => Object.assign(club.people[0], { traits: { arms: 3 } })],
    ['people.0.weight', (club: Club) => Object.assign(club.people[0], { weight: 2 })],
    ['people.1.notWith.0', (club: Club) => void (club.people[1].notWith = ['nobody'])],
    ['people.3.id', (club: Club) => void club.people.push({ id: 'ana', name: 'Ana again' })],
    ['sessions.0.people.1', (club: Club) => void (club.sessions[0].people[1] = 'zed')],
    ['sessions.0.blocks.1.id', (club: Club) => void (club.sessions[0].blocks[1].id = 'warm-up')],
    ['sessions.0.blocks.1.points', (club: Club) => void (club.sessions[0].blocks[1].points = ['a', 'b', 'c', 'd'])],
    ['sessions.0.blocks.0.shownOn', (club: Club) => void (club.sessions[0].blocks[0].shownOn = 'zed')],
    ['sessions.0.blocks.0.contact', (club: Club) => Object.assign(club.sessions[0].blocks[0], { contact: 'hard' })],
    ['sessions.0.gi.0', (club: Club) => void (club.sessions[0].gi = ['zed'])],
    ['sessions.0.mats', (club: Club) => void (club.sessions[0].mats = 21)],
    ['limits.minorsApart', (club: Club) => void (club.limits = { minorsApart: 101 })],
    ['limits.under14', (club: Club) => void (club.limits = { under14: [''] })],
    ['rounds.0.ended', (club: Club) => Object.assign(club.rounds[0], { ended: 'won' })],
    ['tries.0.outcome', (club: Club) => Object.assign(club.tries[0], { outcome: { reaction: 'a', elsewhere: 'b' } })],
    ['tries.0.us', (club: Club) => void (club.tries[0].us = 'zed')],
    ['tries.0.when', (club: Club) => void (club.tries[0].when = '2026-02-30')],
  ])('is refused by the field that is wrong: %s', (path, spoil) => {
    const club = tern()
    const spoiled = structuredClone(club)
    spoil(spoiled)
    const read = parse(spoiled)
    expect(read.ok ? [] : read.problems.map((problem) => problem.path.join('.'))).toEqual([path])
  })

  it('takes names as they are pasted, each once', () => {
    expect(namesIn(' Ana,Di\n\n di ; E  F,', ['Ana'])).toEqual(['Di', 'E F'])
    const club = produce(tern(), (draft) => {
      expect(addPeople(draft, ['Ana B.', 'Äna'], { ageBand: '10-13' })).toHaveLength(2)
      expect(() => setPerson(draft, 'nobody', 'weight', 70)).toThrow('there is nobody "nobody"')
    })
    expect(new Set(club.people.map(({ id }) => id)).size).toBe(5)
    expect(parse(club).ok).toBe(true)
  })

  it('forgets somebody everywhere, and the log keeps someone', () => {
    const club = produce(tern(), (draft) => {
      draft.sessions[0].blocks[1].shownOn = 'bo'
      draft.sessions[0].gi = ['bo']
      removePerson(draft, 'bo')
    })
    expect(JSON.stringify(club)).not.toContain('"bo"')
    expect(club.rounds[0]).toMatchObject({ us: 'ana', ended: 'had-it' })
    expect(club.tries[0]).not.toHaveProperty('them')
    expect(parse(club).ok).toBe(true)
    const without = produce(tern(), (draft) => removePerson(draft, 'cy'))
    expect(without.people.map(({ notWith }) => notWith)).toEqual([undefined, []])
  })
})

describe('who is protected from what', () => {
  const person = (more: Partial<ClubPerson>): ClubPerson => ({ id: 'x', name: 'X', experience: 'competes', ...more })
  const tagsFor = (...people: Partial<ClubPerson>[]) =>
    new Set(refusedFor(people.map((one, i) => person({ id: `x${i}`, ...one }))).map(({ tag }) => tag))

  it.each([
    [{ ageBand: 'adult' }, [], ['finish', 'choke', 'wrist-lock', 'strikes']],
    [
      { ageBand: 'adult', experience: 'first-months' },
      ['wrist-lock', 'neck-crank', 'drop-throw'],
      ['choke', 'strikes'],
    ],
    [{ ageBand: '14-17' }, ['twisting-leg-lock', 'mouth-covering', 'strikes'], ['choke', 'finish']],
    [{ ageBand: '10-13' }, ['finish', 'choke', 'armlock', 'spine-lock', 'strikes'], []],
    [{ ageBand: 'under-10', experience: 'some' }, ['finish', 'jump-entry'], []],
  ] as [Partial<ClubPerson>, string[], string[]][])('%j', (who, out, fine) => {
    const tags = tagsFor(who)
    expect(out.filter((tag) => !tags.has(tag))).toEqual([])
    expect(fine.filter((tag) => tags.has(tag))).toEqual([])
  })

  it('is by the stricter rule where people are together, guests and those of whom nothing is known among them', () => {
    expect(tagsFor({ ageBand: 'adult' }, { ageBand: '10-13' }).has('choke')).toBe(true)
    const unknown: ClubPerson = { id: 'new', name: 'New' }
    expect(refusedFor([unknown]).map(({ tag }) => tag)).toContain('leglock')
    const guests = refusedFor([person({})], { adults: 1, children: 1 })
    expect(guests.find(({ tag }) => tag === 'choke')).toMatchObject({ because: 'under-14', people: [] })
    expect(refusedFor([person({})], { adults: 1, children: 0 }).some(({ tag }) => tag === 'choke')).toBe(false)
  })

  it('names a move’s reasons and whom they are for, and what can be opened with a reason', () => {
    const refused = refusedFor([
      person({ id: 'kid', ageBand: '10-13' }),
      person({ id: 'new', experience: 'first-months' }),
    ])
    const crank = { to: 'finish', tags: ['neck-crank'] } as never
    expect(refusedOf(crank, refused)).toEqual([
      { tag: 'finish', because: 'under-14', people: ['kid'], isAlways: false },
      { tag: 'neck-crank', because: 'under-14', people: ['kid'], isAlways: false },
      { tag: 'neck-crank', because: 'first-months', people: ['new'], isAlways: false },
    ])
    const opened = [
      { tag: 'finish', reason: 'shown slowly, two coaches' },
      { tag: 'neck-crank', reason: '  ' },
      { tag: 'strikes', reason: 'pads' },
    ]
    const left = stillRefused(refused, opened)
    expect(refusedOf(crank, left).map(({ tag }) => tag)).toEqual(['neck-crank', 'neck-crank'])
    expect(left.some(({ tag }) => tag === 'strikes')).toBe(true)
  })

  it('leaves no finish, choke or lock of the demo to those under 14, and what hurts to nobody who must spare it', () => {
    const { moves } = demoPlan()
    const kids = refusedFor([person({ ageBand: 'under-10' })])
    for (const move of moves.filter(({ to, tags = [] }) => to === 'finish' || tags.includes('choke')))
      expect([move.name, refusedOf(move, kids).length > 0]).toEqual([move.name, true])
    const shoulder = moves.filter(({ hazard }) => hazard?.part === 'shoulder')
    expect(shoulder.length).toBeGreaterThan(0)
    for (const move of shoulder) expect(hurts(move, [{ part: 'Shoulder', side: 'left' }])).toHaveLength(1)
    const kimura = toMoveId('kimura')
    expect(hurts({ id: kimura }, [{ part: 'knee' }])).toEqual([])
    // What it was hurt in stays off, whatever it is said to injure.
    expect(hurts({ id: kimura }, [{ part: 'knee', move: 'kimura' }])).toHaveLength(1)
  })

  it('finds what of a block is refused for who comes, until it is opened', () => {
    const plan = demoPlan()
    const tagged = {
      ...plan,
      moves: plan.moves.map((one) => (one.id === 'kimura' ? { ...one, tags: ['leglock'] } : one)),
    }
    const of = (club: Club) =>
      refusedInBlock(club, club.sessions[0], tagged, {
        id: 'b',
        kind: 'try',
        minutes: 5,
        about: { kind: 'move', id: 'kimura' },
      })
    const club = produce(tern(), (draft) => {
      for (const { id } of draft.people) setPerson(draft, id, 'experience', 'competes')
      delete draft.sessions[0].guests
    })
    expect(of(club)).toEqual([])
    const teen = produce(club, (draft) => setPerson(draft, 'ana', 'ageBand', '14-17'))
    expect(of(teen)).toMatchObject([{ tag: 'leglock', because: 'under-18', people: ['ana'] }])
    const child = produce(club, (draft) => setPerson(draft, 'ana', 'ageBand', '10-13'))
    expect(
      of(child)
        .map(({ tag }) => tag)
        .sort(),
    ).toEqual(['finish', 'leglock'])
    const opened = produce(
      teen,
      (draft) => void (draft.sessions[0].opened = [{ tag: 'leglock', reason: 'she competes' }]),
    )
    expect(of(opened)).toEqual([])
    // Cy does not come.
    expect(of(produce(club, (draft) => setPerson(draft, 'cy', 'ageBand', 'under-10')))).toEqual([])
    // Whoever comes and must spare what it could hurt sits it out, or it is out.
    const spares = produce(club, (draft) => setPerson(draft, 'bo', 'spares', [{ part: 'shoulder', side: 'left' }]))
    expect(of(spares)).toEqual([{ tag: 'shoulder', because: 'spared', people: ['bo'], isAlways: false }])
    const sits = produce(spares, (draft) => openRefused(draft, 'tuesday', 'shoulder', 'Bo watches'))
    expect(of(sits)).toEqual([])
    // The club's own limits hold in place of ours; strikes stay refused under 18 whatever they say.
    const own = produce(teen, (draft) => void (draft.limits = { under18: ['finish'] }))
    expect(of(own).map(({ tag }) => tag)).toEqual(['finish'])
    const struck = produce(teen, (draft) => void (draft.limits = { under18: [] }))
    expect(refusedFor(struck.people, undefined, limitsOf(struck)).map(({ tag }) => tag)).toEqual(['strikes'])
  })

  it('shows no strangle on a minor and nothing on what somebody must spare, whatever reason there is', () => {
    const plan = demoPlan()
    const club = produce(tern(), (draft) => {
      for (const { id } of draft.people) setPerson(draft, id, 'experience', 'competes')
      setPerson(draft, 'ana', 'ageBand', '14-17')
      setPerson(draft, 'bo', 'spares', [{ part: 'shoulder' }])
      draft.sessions[0].opened = ['choke', 'finish', 'shoulder'].map((tag) => ({ tag, reason: 'asked' }))
      delete draft.sessions[0].guests
    })
    const choke = plan.moves.find(({ tags = [] }) => tags.includes('choke'))!
    const shoulder = plan.moves.find(({ hazard }) => hazard?.part === 'shoulder')!
    const shown = (move: string, shownOn?: string) =>
      refusedInBlock(club, club.sessions[0], plan, {
        ...{ id: 'w', kind: 'watch', minutes: 5, about: { kind: 'move', id: move } },
        ...(shownOn ? { shownOn } : {}),
      }).map(({ tag, because, people, isAlways }) => [tag, because, people.join(), isAlways])
    expect(shown(choke.id, 'ana')).toEqual([['choke', 'shown-on-minor', 'ana', true]])
    expect([shown(choke.id, 'cy'), shown(choke.id), shown(shoulder.id, 'ana')]).toEqual([[], [], []])
    expect(shown(shoulder.id, 'bo')).toEqual([['shoulder', 'spared', 'bo', true]])
  })
})
