import type { ClubPerson } from '../../../src/core/club/person'
import { demoPlan } from '../../fixtures/demoPlan'
import { headCount, planRemarks, timedBlocks } from '../../../src/core/club/classPlan'
import type { Block, Session } from '../../../src/core/club/session'

const block = (more: Partial<Block> & Pick<Block, 'id' | 'kind' | 'minutes'>): Block => more
const session = (blocks: Block[], more: Partial<Session> = {}): Session => ({
  ...{ id: 'tuesday', when: '2026-11-24', minutes: 60, people: ['a', 'b', 'c', 'd', 'e', 'f', 'g'], blocks },
  ...more,
})
const WARM = block({ id: 'warm', kind: 'warm-up', minutes: 10 })
const plan = demoPlan()
/** What plans are held against where it does not matter who comes. */
const any = { chart: null, people: [] }
const grown = (id: string, more: Partial<ClubPerson> = {}): ClubPerson => ({
  ...{ id, name: id, experience: 'competes' },
  ...more,
})

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
    expect(planRemarks(plan, any)).toEqual([
      { says: 'too-long', minutes: 5 },
      { says: 'rounds-too-long', block: 'rounds', minutes: 10 },
      { says: 'sits-out-too-long', block: 'rounds', rounds: 3 },
    ])
    expect(planRemarks(session([WARM, { ...rounds, isStanding: false }]), any)).toEqual([])
  })

  it('has nothing live before the warm-up, and no new throw in the last quarter', () => {
    const live = block({ id: 'live', kind: 'rounds-from', minutes: 5 })
    expect(planRemarks(session([live, WARM]), any)).toEqual([{ says: 'live-before-warm-up', block: 'live' }])
    expect(planRemarks(session([{ ...live, resistance: 'scripted' }, WARM]), any)).toEqual([])
    expect(planRemarks(session([{ ...live, kind: 'flow-drill', resistance: 'some' }]), any)).toEqual([
      { says: 'live-before-warm-up', block: 'live' },
    ])
    const takedown = plan.moves.find(({ kind }) => kind === 'takedown')!
    const thrown = (from: number) => {
      const watched = block({ id: 'throw', kind: 'watch', minutes: 5, about: { kind: 'move', id: takedown.id } })
      return session([WARM, block({ id: 'more', kind: 'try', minutes: from - 10 }), watched])
    }
    const known = { chart: plan, people: [] }
    expect(planRemarks(thrown(44), known)).toEqual([])
    expect(planRemarks(thrown(45), known)).toEqual([{ says: 'new-throw-late', block: 'throw' }])
    expect(planRemarks(thrown(45), any)).toEqual([])
  })

  it('waits as long as the club lets one wait', () => {
    const rounds = block({ id: 'r', kind: 'rounds-from', minutes: 30, work: 60, rounds: 1 })
    const waves = session([WARM, rounds], { room: { standing: 1, ground: 1 } })
    expect(planRemarks(waves, any)).toEqual([])
    expect(planRemarks(waves, { ...any, limits: { satOut: 1 } })).toEqual([
      { says: 'sits-out-too-long', block: 'r', rounds: 2 },
    ])
  })

  it('says what is worn and how hard where there are strikes', () => {
    const about = { kind: 'move' as const, id: 'kimura' }
    const moves = plan.moves.map((one) => (one.id === 'kimura' ? { ...one, tags: ['strikes'] } : one))
    const against = { chart: { ...plan, moves }, people: [] }
    const struck = block({ id: 'hits', kind: 'try', minutes: 5, about, gear: 'gloves, mouthguards' })
    expect(planRemarks(session([WARM, struck]), against)).toEqual([{ says: 'strikes-unsaid', block: 'hits' }])
    expect(planRemarks(session([WARM, { ...struck, contact: 'touch' }]), against)).toEqual([])
  })

  it('asks on whom a strangle is shown where a minor comes, and lets no winner stay where one is new', () => {
    const choke = plan.moves.find(({ tags = [] }) => tags.includes('choke'))!
    const about = { kind: 'move' as const, id: choke.id }
    const shown = session([WARM, block({ id: 'see', kind: 'watch', minutes: 5, about })])
    const with_ = (...people: ClubPerson[]) => ({ chart: plan, people })
    expect(planRemarks(shown, with_(grown('a'), grown('b', { ageBand: '14-17' })))).toEqual([
      { says: 'strangle-shown', block: 'see' },
    ])
    expect(planRemarks(shown, with_(grown('a')))).toEqual([])
    const stays = session([WARM, block({ id: 'r', kind: 'rounds-from', minutes: 5, withWhom: 'winner-stays' })])
    expect(planRemarks(stays, with_(grown('a'), { id: 'b', name: 'B' }))).toEqual([
      { says: 'no-winner-stays', block: 'r' },
    ])
    expect(planRemarks(stays, with_(grown('a'), grown('b', { ageBand: '14-17' })))).toHaveLength(1)
    expect(planRemarks(stays, with_(grown('a'), grown('b')))).toEqual([])
  })
})
