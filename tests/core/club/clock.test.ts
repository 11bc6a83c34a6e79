import fc from 'fast-check'
import { minutesBehind, offersFor, shortened } from '../../../src/core/club/live/behind'
import { clockFace, clockText, signalsBetween, spentIn } from '../../../src/core/club/live/clock'
import type { Live } from '../../../src/core/club/live/liveRecords'
import type { Block, Session } from '../../../src/core/club/session'

const S = 1000
const MIN = 60 * S
const ROUNDS: Block = { id: 'free', kind: 'free-rounds', minutes: 6, work: 60, rest: 20, rounds: 2 }
const WATCH: Block = { id: 'watch', kind: 'watch', minutes: 5 }

describe('the clock of a block', () => {
  it.each([
    [0, 'work', 1, 60],
    [59.9, 'work', 1, 0.1],
    [60, 'rest', 1, 20],
    [79, 'rest', 1, 1],
    [80, 'work', 2, 60],
    [140, 'done', 2, 0],
    [9999, 'done', 2, 0],
  ])('after %d seconds is at %s, round %d', (seconds, phase, round, left) => {
    const face = clockFace(ROUNDS, 1, seconds * S)
    expect(face).toMatchObject({ phase, round, rounds: 2 })
    expect(face.left / S).toBeCloseTo(left, 9)
  })

  it('has each wave work each round', () => {
    expect(clockFace(ROUNDS, 3, 5 * 80 * S)).toMatchObject({ phase: 'work', round: 6, rounds: 6 })
  })

  it('counts up where it is ended by hand, and down where it is not; isolation has its clocks on the mats', () => {
    expect(clockFace(WATCH, 1, 90 * S)).toMatchObject({ phase: 'open', isUp: true, spent: 90 * S })
    expect(clockFace({ id: 'w', kind: 'warm-up', minutes: 2 }, 1, 150 * S)).toMatchObject({
      isUp: false,
      left: -30 * S,
    })
    expect(clockFace({ ...ROUNDS, kind: 'rounds-from' }, 1, MIN)).toMatchObject({ phase: 'open', left: 5 * MIN })
  })

  it('says what it says in time, and each signal once however it is looked at', () => {
    const all = signalsBetween(ROUNDS, 1, 0, 1e9)
    expect(all.map(({ at, says }) => [at / S, says])).toEqual([
      [0, 'work'],
      [50, 'warning'],
      [60, 'rest'],
      [80, 'work'],
      [130, 'warning'],
      [140, 'done'],
    ])
    expect(signalsBetween(WATCH, 1, 0, 1e9)).toEqual([])
    expect(signalsBetween({ ...WATCH, kind: 'cool-down' }, 1, 0, 1e9).map(({ at }) => at / S)).toEqual([290, 300])
    expect(signalsBetween({ ...ROUNDS, work: 15 }, 1, 0, 1e9).filter(({ says }) => says === 'warning')).toEqual([])
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30_000 }), { minLength: 1, maxLength: 60 }), (steps) => {
        let at = 0
        const heard = steps.flatMap((step) => signalsBetween(ROUNDS, 1, at, (at += step)))
        expect(heard).toEqual(all.filter((one) => one.at <= at))
      }),
      { seed: 19, numRuns: 200 },
    )
  })

  it('agrees with itself: where a signal says that a stretch begins, the face shows it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 1, max: 9 }),
        (work, rest, rounds) => {
          const block: Block = { ...ROUNDS, work, rest, rounds }
          for (const { at, says } of signalsBetween(block, 1, 0, 1e9)) {
            const { phase, left } = clockFace(block, 1, at)
            expect(says === 'warning' ? ['work', 10 * S] : [says, left]).toEqual([phase, left])
          }
        },
      ),
      { seed: 20, numRuns: 100 },
    )
  })

  it('goes by the wall clock, and stands while it stands', () => {
    expect(spentIn({ ran: 5 * S, since: 100 * S }, 130 * S)).toBe(35 * S)
    expect(spentIn({ ran: 5 * S }, 130 * S)).toBe(5 * S)
    expect(spentIn({ ran: 5 * S, since: 100 * S }, 90 * S)).toBe(5 * S)
  })

  it.each([
    [61_001, false, '1:02'],
    [61_001, true, '1:01'],
    [0, false, '0:00'],
    [-30_000, false, '+0:30'],
    [3_600_000, false, '60:00'],
  ])('shows %d ms (up: %s) as %s', (ms, isUp, text) => expect(clockText(ms, isUp)).toBe(text))
})

describe('a class that is behind', () => {
  const warm: Block = { id: 'warm', kind: 'warm-up', minutes: 10 }
  const session: Session = {
    ...{ id: 'tuesday', when: '2026-11-24', minutes: 40, people: [] },
    blocks: [
      warm,
      { ...WATCH, minutes: 8 },
      { ...ROUNDS, minutes: 12 },
      { id: 'cool', kind: 'cool-down', minutes: 10 },
    ],
  }
  const live = (more: Partial<Live>): Live => ({
    ...{ session: 'tuesday', block: 'watch', began: 0, ran: 0, mats: [], hurt: [], out: [] },
    ...more,
  })

  it('is behind by what the hour has run beyond the plan, pauses and questions with it', () => {
    // Ten minutes of warm-up took 15; three of watching have run.
    expect(minutesBehind(session, live({ since: 15 * MIN }), 18 * MIN)).toBe(5)
    // A question of two minutes: the clock of the block stands, the hour does not.
    expect(minutesBehind(session, live({ ran: 3 * MIN }), 20 * MIN)).toBe(7)
    // Over its time in the block itself.
    expect(minutesBehind(session, live({ since: 10 * MIN }), 22 * MIN)).toBe(4)
    expect(minutesBehind(session, live({ since: 8 * MIN }), 9 * MIN)).toBe(-2)
    expect(minutesBehind(session, live({ block: 'gone' }), 9 * MIN)).toBe(0)
  })

  it('is offered what wins it back, and the cool-down is kept', () => {
    expect(offersFor(session, live({}), 0.5)).toEqual([])
    const offers = offersFor(session, live({}), 4)
    expect(offers.map(({ does, minutes }) => [does, minutes])).toEqual([
      ['shorter-rounds', 4],
      ['leave-out', 12],
    ])
    // What wins enough goes before what does not.
    expect(offersFor(session, live({}), 9)[0]).toMatchObject({ does: 'leave-out', block: 'free' })
  })

  it('makes rounds shorter, but not so short that nothing happens', () => {
    expect(shortened(ROUNDS, 0.5)).toMatchObject({ work: 30, minutes: 3 })
    expect(shortened({ ...ROUNDS, work: 25 }, 0.1)).toMatchObject({ work: 20 })
    expect(shortened({ ...ROUNDS, work: 10 }, 0.1)).toMatchObject({ work: 10, minutes: 6 })
    expect(shortened(warm, 0.5)).toBe(warm)
  })
})
