import { produce } from 'immer'
import { CLUB_KIND, emptyClub, type Club } from '../../../src/core/club/clubKind'
import {
  beginClass,
  blockAfter,
  endClass,
  goToBlock,
  guestJoins,
  joinClass,
  keepForNextTime,
  noteHurt,
  pauseClock,
  startClock,
  stopAll,
  takeOffer,
} from '../../../src/core/club/edits/live'
import {
  beginRound,
  endRound,
  endTimedOut,
  logPress,
  matIn,
  reopenRound,
  resetLeft,
} from '../../../src/core/club/edits/liveRounds'
import { addPeople, removePerson, setPerson } from '../../../src/core/club/edits/people'
import {
  addBlock,
  addSession,
  moveBlock,
  openRefused,
  removeBlock,
  removeSession,
  setBlock,
  setComing,
  setGuests,
  setNextTime,
  setSession,
} from '../../../src/core/club/edits/sessions'
import { onMats } from '../../../src/core/club/live/onMats'
import { pressMove } from '../../../src/core/club/live/pressLog'
import { movedIn } from '../../../src/core/club/movedIn'
import { isLongGone } from '../../../src/core/club/person'
import { initialsOfAll } from '../../../src/core/club/whoIsThere'
import { checkDocument } from '../../../src/core/document/read'

const S = 1000
const NAMES = ['Ana', 'Bo', 'Cy', 'Di', 'Ed', 'Fe', 'Gus']

/** A class on the mats: pairs of two on two mats, in a block of isolation. */
function onTheMats(people = 6): Club {
  return produce(emptyClub('tern', 'Tern Street'), (club) => {
    addPeople(club, NAMES.slice(0, people))
    const id = addSession(club, '2026-11-24')
    for (const one of club.people) setComing(club, id, one.id, true)
    setBlock(club, id, 'rounds-from-4', 'about', { chart: 'plan', kind: 'position', id: 'turtle' })
    beginClass(
      club,
      id,
      [
        ['ana', 'bo'],
        ['cy', 'di'],
        ['ed', 'fe'],
      ].slice(0, Math.floor(people / 2)),
      2,
      1000 * S,
    )
    goToBlock(club, 'rounds-from-4', 1000 * S)
    startClock(club, 1000 * S)
  })
}
/** Puts pairs on the mats as they are named. */
const put = (draft: Club, pairs: string[][], mats: number) => void (draft.live!.mats = onMats(pairs, mats))
const queues = ({ live }: Club) => live?.mats.map(({ queue }) => queue.map(({ people }) => people.join(' ')))
const sound = (club: Club) => expect(checkDocument(CLUB_KIND, club)).toEqual([])

describe('a class that is on', () => {
  it('has pairs go to the mats in turn, and is sound', () => {
    const club = onTheMats()
    expect(queues(club)).toEqual([['ana bo', 'ed fe'], ['cy di']])
    sound(club)
    const out = produce(club, (draft) => endClass(draft, 2000 * S))
    expect(out.live).toBeUndefined()
  })

  it('swaps roles and turns the queue after each round, and one mat’s press never ends another’s round', () => {
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 1, 'turtle', 1010 * S)
      beginRound(draft, 2, 'turtle', 1012 * S)
      endRound(draft, 1, 'out', 1030 * S)
    })
    expect(queues(club)).toEqual([['ed fe', 'bo ana'], ['cy di']])
    expect(club.live?.mats[1]?.round).toMatchObject({ us: 'cy', them: 'di' })
    expect(club.rounds).toEqual([
      {
        ...{ id: 'r1', when: '2026-11-24', session: 'class-2026-11-24', chart: 'plan', position: 'turtle' },
        ...{ us: 'ana', them: 'bo', seconds: 20, ended: 'out' },
      },
    ])
    sound(club)
  })

  it('has three take turns so that each attacks and each is attacked', () => {
    let club = produce(onTheMats(), (draft) => put(draft, [['ana', 'bo', 'cy']], 1))
    const seen: string[] = []
    for (let i = 0; i < 4; i++)
      club = produce(club, (draft) => {
        beginRound(draft, 1, 'turtle', i * 100 * S)
        seen.push(`${draft.live?.mats[0]?.round?.us} ${draft.live?.mats[0]?.round?.them}`)
        expect(endTimedOut(draft, i * 100 * S + 89 * S)).toEqual([])
        // Three get half the time again.
        expect(endTimedOut(draft, i * 100 * S + 90 * S)).toEqual([1])
      })
    expect(seen).toEqual(['ana bo', 'bo cy', 'cy ana', 'ana bo'])
    expect(club.rounds.map(({ seconds }) => seconds)).toEqual([90, 90, 90, 90])
    // Of an odd number of seconds too it is whole ones.
    const odd = produce(club, (draft) => {
      setBlock(draft, 'class-2026-11-24', 'rounds-from-4', 'work', 45)
      beginRound(draft, 1, 'turtle', 0)
      endTimedOut(draft, 100 * S)
    })
    expect(odd.rounds.at(-1)?.seconds).toBe(68)
    sound(odd)
  })

  it('lets nothing restart for ten seconds after a tap', () => {
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 2, 'turtle', 1010 * S)
      endRound(draft, 2, 'tap', 1020 * S)
    })
    expect(resetLeft(matIn(club, 2), 1024 * S)).toBe(6 * S)
    expect(() => produce(club, (draft) => beginRound(draft, 2, 'turtle', 1029 * S))).toThrow('let go and reset first')
    expect(produce(club, (draft) => beginRound(draft, 2, 'turtle', 1030 * S)).live?.mats[1]?.round?.us).toBe('di')
  })

  it('ends what has run out as of then, however long nobody looked, and takes an end back', () => {
    const late = produce(onTheMats(), (draft) => {
      beginRound(draft, 1, 'turtle', 1010 * S)
      logPress(draft, 1, (round) => round.tries.push({ move: 'kimura', outcome: 'stalls' }))
      expect(endTimedOut(draft, 1069 * S)).toEqual([])
      expect(endTimedOut(draft, 5000 * S)).toEqual([1])
    })
    expect(late.rounds).toMatchObject([{ seconds: 60, ended: 'time' }])
    expect(late.tries).toMatchObject([
      { id: 't1', us: 'ana', them: 'bo', in: 'round', resistance: 'full', move: 'kimura' },
    ])
    const back = produce(late, (draft) => reopenRound(draft, 1))
    expect([back.rounds, back.tries, queues(back)?.[0]]).toEqual([[], [], ['ana bo', 'ed fe']])
    expect(back.live?.mats[0]?.round).toMatchObject({ us: 'ana', since: 1010 * S })
    expect(() => produce(back, (draft) => reopenRound(draft, 1))).toThrow('no round to take back')
  })

  it('stops all at one press; what was broken off counts as nothing, and only a press starts it again', () => {
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 1, 'turtle', 1010 * S)
      stopAll(draft, 1025 * S)
    })
    expect(club.live).toMatchObject({ isStopped: true, ran: 25 * S })
    expect([club.live?.since, club.live?.mats[0]?.round, club.rounds]).toEqual([undefined, undefined, []])
    expect(queues(club)?.[0]).toEqual(['ana bo', 'ed fe'])
    const on = produce(club, (draft) => startClock(draft, 1100 * S))
    expect(on.live).toMatchObject({ since: 1100 * S, ran: 25 * S })
    expect(on.live?.isStopped).toBeUndefined()
  })

  it('lets somebody who is hurt go, spares what hurt, and keeps who had a knock on the head out', () => {
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 2, 'turtle', 1010 * S)
      noteHurt(draft, { person: 'di', part: 'knee', doing: 'thrown' }, '2026-11-24', 1020 * S)
      noteHurt(draft, { person: 'bo', part: 'head', doing: 'bumped' }, '2026-11-24', 1021 * S)
    })
    expect(club.rounds).toMatchObject([{ us: 'cy', them: 'di', ended: 'no-result' }])
    expect(club.people.find(({ id }) => id === 'di')?.spares).toEqual([{ part: 'knee', since: '2026-11-24' }])
    // Those who are left alone work together; Ed and Fe are not touched.
    expect(queues(club)).toEqual([['ana cy'], ['ed fe']])
    expect(() => produce(club, (draft) => joinClass(draft, 'bo'))).toThrow('out for today')
    expect(queues(produce(club, (draft) => joinClass(draft, 'di')))?.flat()).toContain('ed fe di')
    sound(club)
  })

  it('keeps somebody from the move that hurt them: the last one of the round, else that of the block', () => {
    const hurt = { person: 'ana', part: 'elbow', doing: 'locked' } as const
    const spared = (club: Club) => club.people.find(({ id }) => id === 'ana')?.spares
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 1, 'turtle', 1010 * S)
      logPress(draft, 1, (round) => pressMove(round, 'kimura'))
      stopAll(draft, 1025 * S)
      noteHurt(draft, hurt, '2026-11-24', 1026 * S)
    })
    expect(spared(club)).toEqual([{ part: 'elbow', since: '2026-11-24', move: 'kimura' }])
    sound(club)
    const drilled = produce(onTheMats(), (draft) => {
      setBlock(draft, 'class-2026-11-24', 'rounds-from-4', 'about', { kind: 'move', id: 'americana' })
      beginRound(draft, 1, 'turtle', 1010 * S)
      stopAll(draft, 1025 * S)
      noteHurt(draft, hurt, '2026-11-24', 1026 * S)
    })
    expect(spared(drilled)?.[0]?.move).toBe('americana')
  })

  it('logs with or without the gi where it is said and both wear the same', () => {
    const logged = (gi?: string[]) =>
      produce(onTheMats(), (draft) => {
        setSession(draft, 'class-2026-11-24', 'gi', gi)
        beginRound(draft, 1, 'turtle', 0)
        logPress(draft, 1, (round) => round.tries.push({ move: 'kimura', outcome: 'lands' }))
        endRound(draft, 1, 'out', 5 * S)
      }).tries[0]?.gi
    expect([logged(), logged([]), logged(['ana', 'bo']), logged(['ana'])]).toEqual([undefined, false, true, undefined])
  })

  it('takes in who comes late without touching a pair that works', () => {
    const club = produce(onTheMats(), (draft) => {
      addPeople(draft, ['Gus'])
      beginRound(draft, 2, 'turtle', 1010 * S)
      joinClass(draft, 'gus')
    })
    expect(queues(club)).toEqual([['ana bo', 'ed fe gus'], ['cy di']])
    expect(club.sessions[0]?.people).toContain('gus')
    const guests = produce(club, (draft) => {
      guestJoins(draft, 'adults')
      guestJoins(draft, 'adults')
    })
    expect(queues(guests)?.flat()).toContain('guest-adult-1 gus guest-adult-2')
    expect(guests.sessions[0]?.guests).toEqual({ adults: 2, children: 0 })
    // A child who is a guest works with no adult.
    expect(queues(produce(club, (draft) => guestJoins(draft, 'children')))?.flat()).toContain('guest-child-1')
    sound(guests)
  })

  it('keeps no record of a guest in the log', () => {
    const club = produce(onTheMats(), (draft) => {
      put(draft, [['guest-adult-1', 'ana']], 1)
      beginRound(draft, 1, 'turtle', 0)
      endRound(draft, 1, 'had-it', 5 * S)
    })
    expect(club.rounds[0]).toMatchObject({ them: 'ana', ended: 'had-it' })
    expect(club.rounds[0]).not.toHaveProperty('us')
    sound(club)
  })

  it('keeps no record of a minor before a guardian has agreed', () => {
    const minors = produce(onTheMats(), (draft) => {
      for (const id of ['ana', 'bo']) setPerson(draft, id, 'ageBand', '14-17')
      setPerson(draft, 'bo', 'guardianAgrees', true)
      beginRound(draft, 1, 'turtle', 0)
      logPress(draft, 1, (round) => round.tries.push({ move: 'kimura', outcome: 'lands' }))
      endRound(draft, 1, 'out', 5 * S)
    })
    for (const fact of [minors.rounds[0], minors.tries[0]]) {
      expect(fact).not.toHaveProperty('us')
      expect(fact).toMatchObject({ them: 'bo' })
    }
  })

  it('notes who was here last when, and whose absence is long enough to ask', () => {
    const over = produce(onTheMats(), (draft) => {
      addPeople(draft, ['Gus'])
      endClass(draft, 2000 * S)
    })
    expect(over.people.map(({ lastHere }) => lastHere)).toEqual([
      ...Array.from({ length: 6 }, () => '2026-11-24'),
      undefined,
    ])
    const child = { ageBand: '10-13' as const, lastHere: '2026-11-24' }
    expect([isLongGone(child, '2027-11-24'), isLongGone(child, '2027-11-25')]).toEqual([false, true])
    expect([
      isLongGone({ ...child, ageBand: 'adult' }, '2030-01-01'),
      isLongGone({ ageBand: '10-13' }, '2030-01-01'),
    ]).toEqual([false, false])
  })

  it('goes from block to block, answers questions, and leaves out what there is no time for', () => {
    const club = onTheMats()
    expect(blockAfter(club)).toBe('free-rounds-5')
    const asked = produce(club, (draft) => pauseClock(draft, 1030 * S, true))
    expect(asked.live).toMatchObject({ ran: 30 * S, isQuestion: true })
    const next = produce(asked, (draft) => goToBlock(draft, 'free-rounds-5', 1100 * S))
    expect(next.live).toMatchObject({ block: 'free-rounds-5', ran: 0 })
    expect(next.live?.isQuestion).toBeUndefined()
    const last = produce(next, (draft) => goToBlock(draft, 'cool-down-6', 1100 * S))
    expect(blockAfter(last)).toBeUndefined()
    const out = produce(club, (draft) => takeOffer(draft, { does: 'leave-out', block: 'free-rounds-5', minutes: 10 }))
    expect(out.sessions[0]?.blocks.map(({ id }) => id)).not.toContain('free-rounds-5')
    const short = produce(club, (draft) => takeOffer(draft, { does: 'shorter-rounds', factor: 0.5, minutes: 5 }))
    expect(short.sessions[0]?.blocks[4]).toMatchObject({ work: 120, minutes: 5 })
    expect(short.sessions[0]?.blocks[3]).toMatchObject({ work: 60 })
    const kept = produce(club, (draft) => keepForNextTime(draft, 'free-rounds-5'))
    const again = produce(kept, (draft) => void addSession(draft, '2026-11-26'))
    expect(again.sessions[1]?.blocks.filter(({ kind }) => kind === 'free-rounds')).toHaveLength(2)
    sound(again)
    expect(() => produce(club, (draft) => goToBlock(draft, 'gone', 0))).toThrow('no such block')
    expect(() => produce(club, (draft) => keepForNextTime(draft, 'gone'))).toThrow('no such block')
    expect(() => produce(emptyClub('a', 'A'), (draft) => startClock(draft, 0))).toThrow('no class is on')
  })

  it('is not broken by somebody being deleted, and cannot lose its block', () => {
    const club = produce(onTheMats(), (draft) => {
      beginRound(draft, 1, 'turtle', 0)
      removePerson(draft, 'ana')
    })
    expect(JSON.stringify(club)).not.toContain('"ana"')
    sound(club)
    expect(() => produce(club, (draft) => removeBlock(draft, 'class-2026-11-24', 'rounds-from-4'))).toThrow('is on')
    expect(() => produce(club, (draft) => removeSession(draft, 'class-2026-11-24'))).toThrow('is on')
  })
})

describe('a class plan', () => {
  const planned = () =>
    produce(emptyClub('tern', 'Tern Street'), (club) => {
      addPeople(club, NAMES)
      addSession(club, '2026-11-24')
    })
  const ID = 'class-2026-11-24'
  const blocks = (club: Club) => club.sessions[0]?.blocks.map(({ id }) => id)

  it('is changed block by block', () => {
    const club = produce(planned(), (draft) => {
      expect(addBlock(draft, ID, 'flow-drill')).toBe('flow-drill')
      removeBlock(draft, ID, 'try-3')
      moveBlock(draft, ID, 'flow-drill', 1)
      setBlock(draft, ID, 'watch-2', 'points', ['Elbow in'])
      setSession(draft, ID, 'theme', 'Turtle')
      for (const isNext of [true, false, true]) setNextTime(draft, ID, 'watch-2', isNext)
      setNextTime(draft, ID, 'watch-2', true)
      setGuests(draft, ID, 'adults', 2)
      openRefused(draft, ID, 'leglock', ' they compete ')
    })
    expect(blocks(club)).toEqual([
      'warm-up-1',
      'flow-drill',
      'watch-2',
      'rounds-from-4',
      'free-rounds-5',
      'cool-down-6',
    ])
    expect(club.sessions[0]).toMatchObject({
      theme: 'Turtle',
      nextTime: [{ id: 'watch-2', points: ['Elbow in'] }],
      guests: { adults: 2 },
      opened: [{ tag: 'leglock', reason: 'they compete' }],
    })
    sound(club)
    const shut = produce(club, (draft) => {
      openRefused(draft, ID, 'leglock', ' ')
      setGuests(draft, ID, 'adults', 0)
    })
    expect([shut.sessions[0]?.opened, shut.sessions[0]?.guests]).toEqual([undefined, undefined])
  })

  it('knows what was dragged where, whatever it was', () => {
    const before = ['a', 'b', 'c', 'd', 'e']
    for (const from of before.keys())
      for (const to of before.keys()) {
        const after = before.toSpliced(from, 1).toSpliced(to, 0, before[from])
        const moved = movedIn(before, after)
        const again = moved ? before.filter((id) => id !== moved.id).toSpliced(moved.to, 0, moved.id) : before
        expect(again).toEqual(after)
        expect(moved === null).toBe(from === to)
      }
  })

  it('begins with who came last time; two on one day have ids of their own', () => {
    const club = produce(planned(), (draft) => {
      setComing(draft, ID, 'cy', true)
      setComing(draft, ID, 'ana', true)
      setComing(draft, ID, 'ana', false)
      addSession(draft, '2026-11-24')
    })
    expect(club.sessions.map(({ people }) => people)).toEqual([['cy'], ['cy']])
    expect(new Set(club.sessions.map(({ id }) => id)).size).toBe(2)
    const gone = produce(club, (draft) => removeSession(draft, ID))
    expect(gone.sessions).toHaveLength(1)
  })

  it('has initials that tell people apart', () => {
    const all = initialsOfAll([
      { id: 'a', name: 'Ana Berg' },
      { id: 'b', name: 'Abel' },
      { id: 'c', name: 'Arn B.' },
      { id: 'd', name: 'ö' },
    ])
    expect([...all.values()]).toEqual(['AB', 'AB2', 'AB3', 'Ö'])
  })
})
