import { produce } from 'immer'
import { CLUB_KIND, emptyClub, type Club } from '../../../src/core/club/clubKind'
import { beginClass, goToBlock, joinClass, leaveClass } from '../../../src/core/club/edits/live'
import { changePartners, coachStepsIn } from '../../../src/core/club/edits/livePairs'
import { beginRound, endRound, reopenRound } from '../../../src/core/club/edits/liveRounds'
import { addPeople, setPerson } from '../../../src/core/club/edits/people'
import { addSession, openRefused, setBlock, setComing } from '../../../src/core/club/edits/sessions'
import { onMats, readyFirst } from '../../../src/core/club/live/onMats'
import type { Ended } from '../../../src/core/club/logRecords'
import { MINORS_WITH_ADULTS } from '../../../src/core/club/protect'
import type { WithWhom } from '../../../src/core/club/session'
import { COACH } from '../../../src/core/club/whoIsThere'
import { checkDocument } from '../../../src/core/document/read'

const S = 1000
const NAMES = ['Ana', 'Bo', 'Cy', 'Di', 'Ed', 'Fe', 'Gus']
const ID = 'class-2026-11-24'
const BLOCK = 'rounds-from-4'

/** A class on one mat, all of whom compete. */
function onOneMat(pairs: string[][], withWhom: WithWhom, more: (club: Club) => void = () => undefined): Club {
  return produce(emptyClub('tern', 'Tern Street'), (club) => {
    addPeople(club, NAMES, { experience: 'competes' })
    addSession(club, '2026-11-24')
    for (const id of new Set(pairs.flat())) setComing(club, ID, id, true)
    setBlock(club, ID, BLOCK, 'withWhom', withWhom)
    more(club)
    beginClass(club, ID, pairs, 1, 0)
    goToBlock(club, BLOCK, 0)
    club.live!.mats = onMats(pairs, 1)
  })
}
const THREE_PAIRS = [
  ['ana', 'bo'],
  ['cy', 'di'],
  ['ed', 'fe'],
]
const queue = ({ live }: Club) => live?.mats[0]?.queue.map(({ people }) => people.join(' '))
const round = (club: Club, ended: Ended) =>
  produce(club, (draft) => {
    beginRound(draft, 1, undefined, 0)
    endRound(draft, 1, ended, 5 * S)
    delete draft.live!.mats[0]?.tappedAt
  })

describe('the winner stays', () => {
  it('and meets the next, with roles swapped, whoever attacked', () => {
    const won = round(onOneMat(THREE_PAIRS, 'winner-stays'), 'had-it')
    expect(queue(won)).toEqual(['cy ana', 'di ed', 'fe bo'])
    const out = round(won, 'tap')
    // Cy has caught Ana: Cy stays, and Ana is last.
    expect(queue(out)).toEqual(['di cy', 'ed fe', 'bo ana'])
    expect(out.live?.mats[0]?.stayed).toEqual({ person: 'cy', rounds: 1 })
    expect(queue(round(out, 'reversed'))).toEqual(['cy ed', 'fe bo', 'ana di'])
    expect(checkDocument(CLUB_KIND, out)).toEqual([])
  })

  it('for so many rounds as the club lets them, and not where nobody has won', () => {
    let club = onOneMat(THREE_PAIRS, 'winner-stays', (draft) => void (draft.limits = { stays: 2 }))
    const on: (string | undefined)[] = []
    for (const ended of ['had-it', 'out', 'had-it'] as const) {
      on.push(queue(club)?.[0])
      club = round(club, ended)
    }
    // Ana has stayed for two rounds: both go, whoever won.
    expect(on).toEqual(['ana bo', 'cy ana', 'ana di'])
    expect(queue(club)?.[0]).not.toContain('ana')
    expect(club.live?.mats[0]).not.toHaveProperty('stayed')
    for (const ended of ['time', 'no-result'] as const)
      expect(queue(round(onOneMat(THREE_PAIRS, 'winner-stays'), ended))).toEqual(['cy di', 'ed fe', 'bo ana'])
  })

  it('not where somebody is a minor or new, nor in another kind of rounds', () => {
    const usual = ['cy di', 'ed fe', 'bo ana']
    expect(queue(round(onOneMat(THREE_PAIRS, 'rounds'), 'had-it'))).toEqual(usual)
    const young = onOneMat(THREE_PAIRS, 'winner-stays', (club) => setPerson(club, 'fe', 'ageBand', '14-17'))
    expect(queue(round(young, 'had-it'))).toEqual(usual)
    const green = onOneMat(THREE_PAIRS, 'winner-stays', (club) => setPerson(club, 'fe', 'experience', 'first-months'))
    expect(queue(round(green, 'had-it'))).toEqual(usual)
  })

  it('and meets nobody that they are kept from; who is left over waits', () => {
    const club = onOneMat(THREE_PAIRS, 'winner-stays', (draft) => {
      setPerson(draft, 'ana', 'notWith', ['cy', 'di', 'ed'])
      setPerson(draft, 'bo', 'notWith', ['ed'])
    })
    expect(queue(round(club, 'had-it'))).toEqual(['fe ana', 'cy di', 'ed', 'bo'])
    const alone = onOneMat([['ana', 'bo']], 'winner-stays')
    expect(queue(round(alone, 'had-it'))).toEqual(['bo ana'])
  })

  it('can be taken back, also where somebody has gone since', () => {
    const before = onOneMat(THREE_PAIRS, 'winner-stays')
    const after = round(before, 'had-it')
    expect(queue(produce(after, (draft) => reopenRound(draft, 1)))).toEqual(queue(before))
    const gone = produce(after, (draft) => {
      leaveClass(draft, 'fe', 0)
      reopenRound(draft, 1)
    })
    expect(queue(gone)?.[0]).toBe('ana bo')
    expect(
      queue(gone)
        ?.flatMap((pair) => pair.split(' '))
        .sort(),
    ).toEqual(['ana', 'bo', 'cy', 'di', 'ed'])
  })
})

describe('who works with whom', () => {
  it('is made anew where a block wants it otherwise, and only there', () => {
    const weights = [60, 62, 80, 82, 100, 104]
    const club = onOneMat(THREE_PAIRS, 'rounds', (draft) => {
      NAMES.slice(0, 6).forEach((name, i) => setPerson(draft, name.toLowerCase(), 'weight', weights[i]))
      for (const id of ['bo', 'di', 'fe']) setPerson(draft, id, 'experience', 'some')
    })
    const odd = produce(
      club,
      (draft) =>
        void (draft.live!.mats = onMats(
          [
            ['ana', 'fe'],
            ['bo', 'ed'],
            ['cy', 'di'],
          ],
          1,
        )),
    )
    expect(queue(produce(odd, (draft) => goToBlock(draft, 'free-rounds-5', 0)))).toEqual(queue(odd))
    const learn = produce(odd, (draft) => goToBlock(draft, 'try-3', 0))
    // Of similar size, and mixed in experience.
    expect(queue(learn)?.sort()).toEqual(['ana bo', 'cy di', 'ed fe'])
    expect(learn.live?.pairedFor).toBe('learn')
  })

  it('goes round by a press, all meet, and nobody changes while a round is on', () => {
    let club = onOneMat(THREE_PAIRS, 'rotation')
    club = produce(club, (draft) => {
      goToBlock(draft, 'try-3', 0)
      goToBlock(draft, BLOCK, 0)
    })
    const met = new Set<string>()
    for (let turn = 0; turn < 5; turn++) {
      for (const pair of queue(club) ?? []) met.add(pair.split(' ').sort().join(' '))
      club = produce(club, (draft) => changePartners(draft))
    }
    expect([met.size, club.live?.turn]).toEqual([15, 5])
    const on = produce(club, (draft) => beginRound(draft, 1, undefined, 0))
    expect(() => produce(on, (draft) => changePartners(draft))).toThrow('still on')
    expect(checkDocument(CLUB_KIND, on)).toEqual([])
  })

  it('has the coach step in for who is left over, and for nobody else', () => {
    const pairs = [
      ['ana', 'bo', 'cy'],
      ['di', 'ed'],
    ]
    const stepped = produce(onOneMat(pairs, 'rounds'), (draft) => coachStepsIn(draft))
    expect(queue(stepped)).toEqual(['ana bo', 'di ed', `${COACH.id} cy`])
    expect(() => produce(stepped, (draft) => coachStepsIn(draft))).toThrow('already')
    const logged = produce(stepped, (draft) => {
      draft.live!.mats = onMats([[COACH.id, 'cy']], 1)
      beginRound(draft, 1, undefined, 0)
      endRound(draft, 1, 'had-it', 5 * S)
    })
    expect(logged.rounds[0]).toMatchObject({ them: 'cy' })
    expect(logged.rounds[0]).not.toHaveProperty('us')
    expect(checkDocument(CLUB_KIND, logged)).toEqual([])
    const even = onOneMat(
      [
        ['ana', 'bo'],
        ['di', 'ed'],
      ],
      'rounds',
    )
    expect(() => produce(even, (draft) => coachStepsIn(draft))).toThrow('nobody is left over')
    const gone = produce(stepped, (draft) => leaveClass(draft, COACH.id, 0))
    expect(
      queue(gone)
        ?.flatMap((pair) => pair.split(' '))
        .sort(),
    ).toEqual(['ana', 'bo', 'cy', 'di', 'ed'])
    expect(queue(produce(gone, (draft) => coachStepsIn(draft)))).toContain(`${COACH.id} cy`)
  })

  it('has the coach, and anybody who comes late, work with a minor only for a reason that is kept', () => {
    const young = onOneMat([['di', 'ed'], ['ana']], 'rounds', (club) => setPerson(club, 'ana', 'ageBand', '10-13'))
    expect(() => produce(young, (draft) => coachStepsIn(draft))).toThrow('only for a reason')
    const opened = produce(young, (draft) => openRefused(draft, ID, MINORS_WITH_ADULTS, 'her mother watches'))
    expect(queue(produce(opened, (draft) => coachStepsIn(draft)))).toEqual(['di ed', `${COACH.id} ana`])
    expect(queue(produce(young, (draft) => joinClass(draft, 'gus')))).toEqual(['di ed gus', 'ana'])
    expect(queue(produce(opened, (draft) => joinClass(draft, 'gus')))).toEqual(['di ed', 'gus ana'])
  })

  it('lets nobody who waits for a partner hold up the others', () => {
    expect(
      readyFirst([{ people: ['a'] }, { people: ['b', 'c'] }, { people: ['d'] }]).map(({ people }) => people),
    ).toEqual([['b', 'c'], ['a'], ['d']])
    const club = onOneMat([['ana'], ['bo', 'cy']], 'rounds')
    expect(queue(club)).toEqual(['bo cy', 'ana'])
    expect(queue(round(club, 'time'))).toEqual(['cy bo', 'ana'])
  })
})
