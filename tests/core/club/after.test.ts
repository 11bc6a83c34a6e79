import { produce } from 'immer'
import { blockMoves, startOf, subjectName } from '../../../src/core/club/blockMoves'
import { emptyClub } from '../../../src/core/club/clubKind'
import { lastPairs } from '../../../src/core/club/lastPairs'
import { reviewOf } from '../../../src/core/club/review'
import type { Block, Session } from '../../../src/core/club/session'
import { lookedAt, mistakesOf, noteSeen, seenBefore, walkAgain, walksOf } from '../../../src/core/club/walks'
import { demoPlan } from '../../fixtures/demoPlan'

const plan = demoPlan()
const about = (kind: NonNullable<Block['about']>['kind'], id: string, chart = plan.id): Block => ({
  ...{ id: `${kind}-${id}`, kind: 'try', minutes: 10 },
  about: { kind, id, chart },
})
const ids = (records: readonly { id: string }[]) => records.map(({ id }) => id)

describe('what a block is about', () => {
  it('is a move, a position with what is tried and answered there, a card, or a run', () => {
    expect(ids(blockMoves(plan, about('move', 'kimura')))).toEqual(['kimura'])
    const flank = ids(blockMoves(plan, about('position', 'turtle-at-the-flank')))
    expect(flank).toEqual(expect.arrayContaining(['clock-the-collar', 'leg-in', 'cross-face-and-pass']))
    expect(flank).not.toContain('americana')
    const card = ids(blockMoves(plan, about('card', 'flank-sits-to-a-hip')))
    expect(card).toEqual(expect.arrayContaining(['seatbelt-from-the-flank', 'follow-to-the-seatbelt']))
    const run = plan.runs![0]
    expect(ids(blockMoves(plan, about('run', run.id)))).toEqual(
      expect.arrayContaining(run.steps.flatMap(({ move }) => move ?? [])),
    )
    expect(blockMoves(plan, about('flow', 'x'))).toEqual([])
    expect(blockMoves(plan, { about: undefined } as never)).toEqual([])
  })

  it('is nothing of another chart, or that is gone', () => {
    expect(blockMoves(plan, about('move', 'kimura', 'other'))).toEqual([])
    expect(blockMoves(plan, about('card', 'gone'))).toEqual([])
    expect([subjectName(plan, about('move', 'gone')), startOf(plan, about('move', 'kimura', 'other'))]).toEqual([
      undefined,
      undefined,
    ])
  })

  it('says where rounds begin, and its name', () => {
    expect(startOf(plan, about('position', 'knee-on-belly'))).toBe('knee-on-belly')
    expect(startOf(plan, about('move', 'kimura'))).toBe('side-control-head-and-far-arm')
    expect(startOf(plan, about('card', 'hips-low-frames'))).toBe('side-control-hips-low')
    expect(startOf(plan, about('position', 'gone'))).toBeUndefined()
    expect(subjectName(plan, about('move', 'kimura'))).toBe('Kimura')
    expect(subjectName(plan, about('card', 'hips-low-frames'))).toBe('Frames and hips out')
  })
})

const BLOCK: Block = { ...about('position', 'turtle-at-the-flank'), id: 'try', mistake: 'head too high' }
const session = (id: string, when: string, more: Partial<Session> = {}): Session => ({
  ...{ id, when, minutes: 60, people: [], blocks: [BLOCK] },
  ...more,
})

describe('a walk round', () => {
  const club = produce(emptyClub('tern', 'Tern'), (draft) => {
    draft.sessions.push(session('a', '2026-11-10'), session('b', '2026-11-17'))
    for (const seen of ['head too high', 'head too high', null]) noteSeen(draft, 'a', 'try', seen)
    walkAgain(draft, 'a', 'try')
    noteSeen(draft, 'a', 'try', null)
    noteSeen(draft, 'b', 'try', 'hips far away')
  })

  it('counts pairs, each once, walk by walk', () => {
    const walks = walksOf(club.sessions[0], 'try')
    expect(walks.map((walk) => [walk.mistakes['head too high'] ?? 0, lookedAt(walk)])).toEqual([
      [2, 3],
      [0, 1],
    ])
    expect(walksOf(club.sessions[0], 'other')).toEqual([])
  })

  it('begins anew for another block', () => {
    const other = produce(club, (draft) => noteSeen(draft, 'a', 'rounds', null))
    expect(other.sessions[0]?.walks).toHaveLength(3)
  })

  it('looks for the block’s own mistake first, then for those of its moves, six at most', () => {
    const found = mistakesOf(plan, BLOCK)
    expect(found[0]).toEqual({ says: 'head too high', fix: '' })
    expect(found.length).toBeGreaterThan(2)
    expect(found.length).toBeLessThanOrEqual(6)
    expect(new Set(found.map(({ says }) => says)).size).toBe(found.length)
    const faults = plan.moves.flatMap(({ checkpoints = [] }) => checkpoints.flatMap(({ fault }) => fault ?? []))
    for (const { says, fix } of found.slice(1))
      expect(faults).toContainEqual(expect.objectContaining({ mistake: says, fix }))
    expect(mistakesOf(null, { ...BLOCK, mistake: undefined } as never)).toEqual([])
  })

  it('shows first what was seen in earlier classes on the same', () => {
    const next = session('c', '2026-11-24')
    expect(seenBefore(club, next, BLOCK)).toEqual(['hips far away', 'head too high'])
    expect(seenBefore(club, session('c', '2026-11-12'), BLOCK)).toEqual(['head too high'])
    expect(seenBefore(club, next, about('position', 'knee-on-belly'))).toEqual([])
    const themed = produce(club, (draft) => void (draft.sessions[0].theme = 'Turtle'))
    expect(seenBefore(themed, session('c', '2026-11-24', { theme: 'Turtle' }), about('move', 'kimura'))).toEqual([
      'head too high',
    ])
  })
})

describe('a review', () => {
  it('says what was shown, drilled and landed, and how rounds ended; what was not seen whole is not counted', () => {
    const blocks: Block[] = [
      { ...BLOCK, id: 'watch', kind: 'watch' },
      BLOCK,
      { id: 'free', kind: 'free-rounds', minutes: 5 },
    ]
    const club = produce(emptyClub('tern', 'Tern'), (draft) => {
      draft.sessions.push(session('a', '2026-11-10', { blocks }))
      const tried = (id: string, move: string, outcome: 'lands' | 'stalls', isPartial = false) =>
        draft.tries.push({
          id,
          when: '2026-11-10',
          in: 'round',
          session: 'a',
          move: move as never,
          outcome,
          ...(isPartial ? { isPartial } : {}),
        })
      tried('t1', 'kimura', 'lands')
      tried('t2', 'kimura', 'stalls')
      tried('t3', 'kimura', 'lands', true)
      tried('t4', 'gone', 'stalls')
      draft.rounds.push(
        { id: 'r1', when: '2026-11-10', session: 'a', us: 'ana', them: 'bo', seconds: 30, ended: 'time' },
        { id: 'r2', when: '2026-11-10', session: 'a', us: 'bo', them: 'ana', seconds: 30, ended: 'tap' },
        { id: 'r3', when: '2026-11-03', us: 'cy', them: 'bo', seconds: 30, ended: 'tap' },
      )
    })
    const review = reviewOf(club, club.sessions[0], plan)
    expect([ids(review.shown), ids(review.drilled)]).toEqual([['watch'], ['try']])
    expect(review.rounds).toEqual([
      { ended: 'tap', n: 1 },
      { ended: 'time', n: 1 },
    ])
    expect(review.landed).toEqual([
      { move: 'kimura', name: 'Kimura', lands: 1, tries: 2 },
      { move: 'gone', name: 'gone', lands: 0, tries: 1 },
    ])
    expect(lastPairs(club).map((pair) => [...pair].sort())).toEqual([['ana', 'bo']])
  })
})
