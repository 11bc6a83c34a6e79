import fc from 'fast-check'
import { areKeptFromThrows, keptApart, pairUp, pairWorth, rotation, type PairFor } from '../../../src/core/club/pairs'
import { AGE_BANDS, EXPERIENCE, type ClubPerson } from '../../../src/core/club/person'

const person = (id: string, more: Partial<ClubPerson> = {}): ClubPerson => ({ id, name: id, ...more })

/** The best matching of all that there are: as many pairs as can be, then the most worth. */
function bestOf(people: readonly ClubPerson[], what: PairFor): { pairs: number; worth: number } {
  const [first, ...others] = people
  if (!first) return { pairs: 0, worth: 0 }
  const better = (a: { pairs: number; worth: number }, b: { pairs: number; worth: number }) =>
    a.pairs > b.pairs || (a.pairs === b.pairs && a.worth > b.worth) ? a : b
  return others
    .filter((other) => !keptApart(first, other))
    .map((other) => {
      const rest = bestOf(
        others.filter((one) => one !== other),
        what,
      )
      return { pairs: rest.pairs + 1, worth: rest.worth + pairWorth(first, other, what) }
    })
    .reduce(better, bestOf(others, what))
}

const anybody = fc.record({
  ageBand: fc.constantFrom(...AGE_BANDS.slice(2)),
  experience: fc.constantFrom(...EXPERIENCE),
  weight: fc.integer({ min: 45, max: 110 }),
})

describe('pairs', () => {
  it('are as many and as good as any, held against trying them all', () => {
    fc.assert(
      fc.property(
        fc.array(anybody, { minLength: 2, maxLength: 8 }),
        fc.constantFrom('learn', 'rounds'),
        (some, what) => {
          const people = some.map((one, i) => person(`p${i}`, one))
          const { pairs, alone } = pairUp(people, what as PairFor)
          const find = (id: string) => people.find((one) => one.id === id)!
          const twos = pairs.map((pair) => pair.slice(0, 2).map(find))
          const worth = twos.reduce((sum, [a, b]) => sum + pairWorth(a, b, what as PairFor), 0)
          expect({ pairs: twos.length, worth }).toEqual(bestOf(people, what as PairFor))
          expect([...pairs.flat(), ...alone].sort()).toEqual(people.map(({ id }) => id).sort())
          for (const pair of pairs)
            for (const a of pair) for (const b of pair) if (a !== b) expect(keptApart(find(a), find(b))).toBeNull()
        },
      ),
      { seed: 19, numRuns: 150 },
    )
  })

  it('are never those who must be kept apart', () => {
    const [ana, bo] = [person('ana', { notWith: ['bo'] }), person('bo')]
    expect([keptApart(ana, bo), keptApart(bo, ana)]).toEqual(['not-with', 'not-with'])
    const [kid, teen] = [
      person('kid', { ageBand: '10-13', weight: 40 }),
      person('teen', { ageBand: '14-17', weight: 41 }),
    ]
    expect(keptApart(kid, bo)).toBe('minor-with-adult')
    expect(keptApart(kid, bo, { minorsWithAdults: '  ' })).toBe('minor-with-adult')
    expect(keptApart(kid, bo, { minorsWithAdults: 'his father' })).toBeNull()
    expect(keptApart(kid, teen)).toBe('ages')
    expect(keptApart(kid, person('other', { ageBand: '10-13', weight: 44 }))).toBeNull()
    expect(keptApart(kid, person('other', { ageBand: '10-13', weight: 45 }))).toBe('sizes')
    expect(pairUp([ana, bo], 'rounds')).toEqual({ pairs: [], alone: ['ana', 'bo'] })
  })

  it('mix experience to learn, and not for rounds; and change from last time', () => {
    const people = ['a', 'b', 'c', 'd'].map((id, i) =>
      person(id, { weight: 70, experience: i < 2 ? 'competes' : 'some' }),
    )
    expect(pairUp(people, 'rounds').pairs).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ])
    const learn = pairUp(people, 'learn').pairs
    expect(learn.every(([one]) => one === 'a' || one === 'b')).toBe(true)
    const next = pairUp(people, 'learn', { lastTime: learn }).pairs
    expect(next).not.toEqual(learn)
    expect(areKeptFromThrows(person('x', { weight: 79 }), person('y', { weight: 100 }))).toBe(true)
    expect(areKeptFromThrows(person('x', { weight: 80 }), person('y', { weight: 100 }))).toBe(false)
    expect(areKeptFromThrows(person('x'), person('y', { weight: 100 }))).toBe(false)
  })

  it('have the odd one join the pair that it fits best', () => {
    const heavy = ['h1', 'h2'].map((id) => person(id, { weight: 110, experience: 'some' }))
    const light = ['l1', 'l2', 'l3'].map((id) => person(id, { weight: 60, experience: 'some' }))
    expect(
      pairUp([...heavy, ...light], 'rounds')
        .pairs.find((pair) => pair.length === 3)
        ?.sort(),
    ).toEqual(['l1', 'l2', 'l3'])
    expect(pairUp([], 'learn')).toEqual({ pairs: [], alone: [] })
  })

  it.each([2, 5, 6, 9, 12])('go round so that all of %d meet once', (n) => {
    const people = Array.from({ length: n }, (_, i) => `p${i}`)
    const rounds = n % 2 ? n : n - 1
    const met = new Set<string>()
    for (let round = 0; round < rounds; round++) {
      const { pairs, alone } = rotation(people, round)
      expect(new Set([...pairs.flat(), ...alone]).size).toBe(n)
      expect(alone).toHaveLength(n % 2)
      for (const pair of pairs) met.add([...pair].sort().join(' '))
    }
    expect(met.size).toBe((n * (n - 1)) / 2)
    expect(rotation([], 3)).toEqual({ pairs: [], alone: [] })
  })
})
