import { headCount, planRemarks, timedBlocks } from '../../../src/core/club/classPlan'
import type { Block, Session } from '../../../src/core/club/session'

const block = (more: Partial<Block> & Pick<Block, 'id' | 'kind' | 'minutes'>): Block => more
const session = (blocks: Block[], more: Partial<Session> = {}): Session => ({
  ...{ id: 'tuesday', when: '2026-11-24', minutes: 60, people: ['a', 'b', 'c', 'd', 'e', 'f', 'g'], blocks },
  ...more,
})
const WARM = block({ id: 'warm', kind: 'warm-up', minutes: 10 })
const none = () => undefined

describe('a class by the hour', () => {
  it('says when each block begins and how many are there', () => {
    const plan = session([WARM, block({ id: 'watch', kind: 'watch', minutes: 6 })], {
      guests: { adults: 1, children: 2 },
    })
    expect(timedBlocks(plan).map(({ from, to, needs }) => [from, to, needs])).toEqual([
      [0, 10, null],
      [10, 16, null],
    ])
    expect(headCount(plan)).toBe(10)
  })

  it('lets pairs work in waves where no more fit, and counts them', () => {
    const rounds = block({ id: 'rounds', kind: 'rounds-from', minutes: 20, work: 120, rest: 30, rounds: 3 })
    const room = { standing: 1, ground: 2 }
    // Seven people are two pairs and a three.
    const [, ground] = timedBlocks(session([WARM, rounds], { room }))
    expect([ground.waves, ground.needs]).toEqual([2, 15])
    const [, standing] = timedBlocks(session([WARM, { ...rounds, isStanding: true }], { room }))
    expect([standing.waves, standing.needs]).toEqual([3, 22.5])
    expect(timedBlocks(session([WARM, rounds]))[1].waves).toBe(1)
    expect(timedBlocks(session([WARM, rounds], { room, people: [] }))[1].waves).toBe(1)
  })

  it('remarks on what does not fit, and on who would wait too long', () => {
    const rounds = block({
      id: 'rounds',
      kind: 'free-rounds',
      minutes: 20,
      work: 120,
      rest: 30,
      rounds: 3,
      isStanding: true,
    })
    const people = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h']
    const plan = session([WARM, rounds], { minutes: 25, people, room: { standing: 1, ground: 4 } })
    expect(planRemarks(plan, none)).toEqual([
      { says: 'too-long', minutes: 5 },
      { says: 'rounds-too-long', block: 'rounds', minutes: 10 },
      { says: 'sits-out-too-long', block: 'rounds', rounds: 3 },
    ])
    expect(planRemarks(session([WARM, { ...rounds, isStanding: false }]), none)).toEqual([])
  })

  it('has nothing live before the warm-up, and no new throw in the last quarter', () => {
    const live = block({ id: 'live', kind: 'rounds-from', minutes: 5 })
    expect(planRemarks(session([live, WARM]), none)).toEqual([{ says: 'live-before-warm-up', block: 'live' }])
    expect(planRemarks(session([{ ...live, resistance: 'scripted' }, WARM]), none)).toEqual([])
    expect(planRemarks(session([{ ...live, kind: 'flow-drill', resistance: 'some' }]), none)).toEqual([
      { says: 'live-before-warm-up', block: 'live' },
    ])
    const thrown = (from: number) => {
      const watched = block({ id: 'throw', kind: 'watch', minutes: 5, about: { kind: 'move', id: 'hip-throw' } })
      return session([WARM, block({ id: 'more', kind: 'try', minutes: from - 10 }), watched])
    }
    const kindOf = (move: string) => (move === 'hip-throw' ? ('takedown' as const) : undefined)
    expect(planRemarks(thrown(44), kindOf)).toEqual([])
    expect(planRemarks(thrown(45), kindOf)).toEqual([{ says: 'new-throw-late', block: 'throw' }])
    expect(planRemarks(thrown(45), none)).toEqual([])
  })
})
