import { produce } from 'immer'
import type { MatTally } from '../../../src/core/chart/tries'
import { CLUB_KIND, emptyClub } from '../../../src/core/club/clubKind'
import { addPeople } from '../../../src/core/club/edits/people'
import { addLesson, setBlock } from '../../../src/core/club/edits/sessions'
import { remember, rememberedIn, takeHome } from '../../../src/core/club/lesson'
import { reviewOf } from '../../../src/core/club/review'
import { takeTallies, untakenTallies, withoutTaken } from '../../../src/core/club/tallies'
import { toMoveId } from '../../../src/core/chart/ids'
import { checkDocument } from '../../../src/core/document/read'
import { adjusted } from '../../../src/core/match/adjust'
import { demoPlan } from '../../fixtures/demoPlan'

const TODAY = '2026-11-24'
/** The demo plan with other tallies of two of its records, and none elsewhere. */
function tallied(tallies: MatTally[], ofAnswer: MatTally[] = []) {
  const plan = demoPlan()
  const without = <R extends { tries?: { tallies?: MatTally[] } }>(record: R, some: MatTally[]): R => {
    const { tallies: _, ...tries } = record.tries ?? {}
    return record.tries ? { ...record, tries: { ...tries, ...(some.length ? { tallies: some } : {}) } } : record
  }
  const answer = plan.answers.findIndex(({ tries }) => tries)
  return {
    ...plan,
    moves: plan.moves.map((one) => without(one, one.id === 'kimura' ? tallies : [])),
    answers: plan.answers.map((one, i) => without(one, i === answer ? ofAnswer : [])),
  }
}
const of = (worked: boolean, weight: number, when?: string): MatTally => ({ worked, weight, ...(when ? { when } : {}) })
const club = () => emptyClub('tern', 'Tern Street')

describe('rounds that were tallied on the chart', () => {
  it('become tries of the log, each once however often it is asked', () => {
    const chart = tallied([of(true, 2, '2026-10-06'), of(false, 1)], [of(false, 3, '2026-10-20')])
    const taken = produce(club(), (draft) => {
      takeTallies(draft, chart, TODAY)
      takeTallies(draft, chart, TODAY)
    })
    const answer = chart.answers.find(({ tries }) => tries)!
    expect(taken.tries.map(({ when, move, reply, outcome }) => [when, move, reply, outcome])).toEqual([
      ['2026-10-06', 'kimura', undefined, 'lands'],
      ['2026-10-06', 'kimura', undefined, 'lands'],
      // Nobody kept its day: it counts from today.
      [TODAY, 'kimura', undefined, 'failed'],
      ...Array.from({ length: 3 }, () => ['2026-10-20', answer.move, answer.reaction, 'failed']),
    ])
    expect(new Set(taken.tries.map(({ id }) => id)).size).toBe(6)
    expect(checkDocument(CLUB_KIND, taken)).toEqual([])
    // One more on the chart is one more in the log.
    const more = tallied([of(true, 3, '2026-10-06'), of(false, 1)])
    expect(untakenTallies(taken, more, TODAY)).toHaveLength(1)
    // Of another chart nothing is there yet.
    expect(untakenTallies(taken, { ...chart, id: 'other' }, TODAY)).toHaveLength(6)
  })

  it('count once: the chart with the log is worth what the log says, and not both', () => {
    const chart = tallied([of(true, 4, TODAY), of(false, 3, TODAY)])
    const plain = tallied([])
    const { tries } = produce(club(), (draft) => takeTallies(draft, chart, TODAY))
    const left = withoutTaken(chart, tries)
    const shares = (some: typeof chart) => some.moves.find(({ id }) => id === 'kimura')!.tries!
    expect(shares(left).tallies).toEqual([])
    const log = { tries, now: TODAY }
    const both = adjusted(left, { us: null, them: null, log })
    const guess = shares(plain)
    const total =
      (guess.lands ?? 0) + (guess.stalls ?? 0) + Object.values(guess.reactions ?? {}).reduce((a, b) => a + b, 0)
    const weight = guess.weight ?? total
    // By hand: (guess + 4 landed) / (guess + 7).
    const lands = (weight * ((guess.lands ?? 0) / total) + 4) / (weight + 7)
    expect(shares(both).lands! / total).toBeCloseTo(lands, 12)
    expect(withoutTaken(chart, [])).toBe(chart)
  })

  it('keep what is no whole round on the chart', () => {
    const chart = tallied([of(true, 1.5, TODAY)])
    const { tries } = produce(club(), (draft) => takeTallies(draft, chart, TODAY))
    expect(tries).toHaveLength(1)
    expect(withoutTaken(chart, tries).moves.find(({ id }) => id === 'kimura')?.tries?.tallies).toEqual([
      { worked: true, weight: 0.5, when: TODAY },
    ])
  })
})

describe('a private lesson', () => {
  const plan = demoPlan()
  const move = toMoveId('kimura')
  const lesson = () =>
    produce(club(), (draft) => {
      addPeople(draft, ['Ana', 'Bo'])
      const id = addLesson(draft, TODAY, 'ana')
      for (const block of ['watch-2', 'try-3', 'try-4'])
        setBlock(draft, id, block, 'about', { chart: plan.id, kind: 'move', id: move })
    })

  it('is tallied as remembered, which counts as no landing', () => {
    const before = lesson()
    expect(before.sessions[0]).toMatchObject({ isPrivate: true, people: ['ana'], minutes: 45 })
    const after = produce(before, (draft) => {
      const id = draft.sessions[0].id
      for (const landed of [true, true, false]) remember(draft, id, plan.id, move, landed, 1)
      remember(draft, id, plan.id, move, true, -1)
      remember(draft, id, plan.id, toMoveId('americana'), true, -1)
    })
    expect(rememberedIn(after, after.sessions[0], plan)).toEqual([{ move, name: 'Kimura', landed: 1, failed: 1 }])
    expect(after.tries).toMatchObject([
      { us: 'ana', isPartial: true, outcome: 'lands' },
      { us: 'ana', isPartial: true, outcome: 'failed' },
    ])
    expect(reviewOf(after, after.sessions[0], plan).landed).toEqual([])
    expect(adjusted(plan, { us: null, them: null, log: { tries: after.tries, now: TODAY } }).moves).toEqual(plan.moves)
    expect(checkDocument(CLUB_KIND, after)).toEqual([])
    const child = produce(before, (draft) => {
      draft.people[0].ageBand = '10-13'
      remember(draft, draft.sessions[0].id, plan.id, move, true, 1)
    })
    expect(child.tries[0]).not.toHaveProperty('us')
  })

  it('gives a page to take home: each thing once, with its points, its mistake and what mends it', () => {
    const club = produce(lesson(), (draft) => {
      draft.sessions[0].blocks[1].points = ['Elbow in']
    })
    const [session] = club.sessions
    const fault = plan.moves.find(({ id }) => id === move)!.checkpoints?.find(({ fault: one }) => one)?.fault
    expect(takeHome(session, plan)).toEqual([
      {
        ...{ block: session.blocks[1], name: 'Kimura', points: ['Elbow in'] },
        ...{ mistake: fault?.mistake ?? '', fix: fault?.fix ?? '' },
      },
    ])
    const own = { ...session, blocks: [{ ...session.blocks[1], mistake: 'Grip too late' }] }
    expect(takeHome(own, plan)[0]).toMatchObject({ mistake: 'Grip too late', fix: '' })
    expect(takeHome(own, null)[0]).toMatchObject({ name: '', points: ['Elbow in'] })
  })
})
