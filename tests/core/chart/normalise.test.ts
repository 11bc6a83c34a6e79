import { FIT_TO_NOTES, RENAME_OVER, ROUNDS_TO_TALLIES } from '../../../src/core/chart/normalise'
import { demoPlan } from '../../fixtures/demoPlan'

const NORMALISERS = { RENAME_OVER, ROUNDS_TO_TALLIES, FIT_TO_NOTES }
const JUNK: object[] = [
  {},
  { positions: 'none', moves: 5, answers: null, reactions: [1, 'x', null] },
  { positions: [null, 3], moves: [null, { tries: 4 }, { tries: { rounds: 3 } }], answers: [{ tries: null }] },
]

describe.each(Object.entries(NORMALISERS))('%s', (_, normalise) => {
  it('gives back the very same where nothing is to do, whatever it is', () => {
    const demo = demoPlan() as object as Record<string, unknown>
    expect(normalise(demo)).toBe(demo)
    for (const junk of JUNK) expect(normalise(junk as Record<string, unknown>)).toBe(junk)
  })
})

describe('sums of rounds', () => {
  it('become tallies without a day, in moves and answers, after those that are there', () => {
    const day = { when: '2026-11-02', worked: true, weight: 1 }
    const file = {
      moves: [
        { id: 'a', tries: { lands: 1, rounds: { worked: 3, failed: 2 }, tallies: [day] } },
        { id: 'b', tries: { lands: 1, rounds: { worked: 0 } } },
        { id: 'c', tries: { lands: 1 } },
      ],
      answers: [{ move: 'a', tries: { rounds: { worked: 'x', failed: 4 } } }, { move: 'b' }],
    }
    const next = ROUNDS_TO_TALLIES(file) as typeof file
    expect(next.moves[0].tries).toEqual({
      lands: 1,
      tallies: [day, { worked: true, weight: 3 }, { worked: false, weight: 2 }],
    })
    expect(next.moves[1].tries).toEqual({ lands: 1 })
    expect(next.moves[2]).toBe(file.moves[2])
    expect(next.answers).toEqual([{ move: 'a', tries: { tallies: [{ worked: false, weight: 4 }] } }, { move: 'b' }])
    expect(ROUNDS_TO_TALLIES(next)).toBe(next)
    expect(file.moves[0].tries).toHaveProperty('rounds')
  })
})

describe('what a move fits, in free words', () => {
  it('goes to its notes, below those that are there', () => {
    const file = {
      moves: [
        { id: 'a', fit: { build: 'tall', gi: true }, notes: 'Slowly.' },
        { id: 'b', fit: {} },
        { id: 'c', fit: [{ trait: 'reach', of: 'ours', per: 0.2 }] },
        { id: 'd', fit: 'long arms' },
      ],
      reactions: [{ id: 'r', fit: { build: 'short' } }],
    }
    const next = FIT_TO_NOTES(file)
    expect(next.moves).toEqual([
      { id: 'a', notes: 'Slowly.\nFits: build: tall; gi: true' },
      { id: 'b' },
      file.moves[2],
      file.moves[3],
    ])
    expect(next.reactions).toEqual([{ id: 'r', notes: 'Fits: build: short' }])
    expect(FIT_TO_NOTES(next)).toBe(next)
  })
})

describe('a position that is called over', () => {
  const file = {
    id: 'over',
    title: 'over',
    positions: [
      { id: 'over', name: 'Over the top', mirror: 'under', unprompted: { reactions: { over: 1 } } },
      { id: 'under', name: 'over', mirror: 'over' },
      { id: 'over-the-top', name: 'Taken' },
    ],
    moves: [
      { id: 'over', name: 'over', from: 'over', to: 'over', stallsIn: 'over', tries: { elsewhere: { over: 2, x: 1 } } },
      { id: 'm', from: 'under', to: 'finish', tags: ['over'], tries: { reactions: { over: 1 } } },
    ],
    reactions: [{ id: 'over', endsIn: 'over', mirror: 'over' }],
    runs: [{ id: 'r', start: 'over', steps: [{ move: 'over', elsewhere: 'over' }] }],
    cards: [{ id: 'c', position: 'over', reaction: 'over', move: 'over' }],
    settings: { slope: { places: { over: { row: 1, x: 2 } } }, scenario: { start: 'over', goal: ['over', 'under'] } },
  }
  const next = RENAME_OVER(file) as typeof file

  it('is called otherwise wherever it is named, and nothing else is', () => {
    const fresh = 'over-the-top-2'
    expect(next).toEqual({
      ...file,
      positions: [{ ...file.positions[0], id: fresh }, { ...file.positions[1], mirror: fresh }, file.positions[2]],
      moves: [
        { ...file.moves[0], from: fresh, to: fresh, stallsIn: fresh, tries: { elsewhere: { [fresh]: 2, x: 1 } } },
        file.moves[1],
      ],
      reactions: [{ ...file.reactions[0], endsIn: fresh }],
      runs: [{ id: 'r', start: fresh, steps: [{ move: 'over', elsewhere: fresh }] }],
      cards: [{ ...file.cards[0], position: fresh }],
      settings: {
        slope: { places: { [fresh]: { row: 1, x: 2 } } },
        scenario: { start: fresh, goal: [fresh, 'under'] },
      },
    })
    expect(RENAME_OVER(next)).toBe(next)
  })

  it('is called over-2 where it has no name', () => {
    const nameless = RENAME_OVER({ positions: [{ id: 'over' }] }) as { positions: { id: string }[] }
    expect(nameless.positions[0].id).toBe('over-2')
  })
})
