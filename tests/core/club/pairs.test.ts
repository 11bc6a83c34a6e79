import fc from 'fast-check'
import { OUR_LIMITS } from '../../../src/core/club/limits'
import { heeds, keptApart, pairUp, pairWorth, type PairFor } from '../../../src/core/club/pairs'
import { allMeet } from '../../../src/core/club/rotation'
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

  it('must heed who is in them: weight, age, and who is new', () => {
    const of = (one: Partial<ClubPerson>, other: Partial<ClubPerson>, limits = OUR_LIMITS) =>
      heeds([person('x', { experience: 'some', ...one }), person('y', { experience: 'some', ...other })], limits)
    const nothing = { noThrows: false, noStranglesOrLegLocks: false, endsAtHadIt: false, spared: [] as unknown[] }
    expect(of({ weight: 80 }, { weight: 100 })).toEqual(nothing)
    expect(of({ weight: 79 }, { weight: 100 })).toEqual({ ...nothing, noThrows: true })
    expect(of({}, { weight: 100 })).toEqual(nothing)
    expect(of({ weight: 79 }, { weight: 100 }, { ...OUR_LIMITS, adultsApart: 25 })).toEqual(nothing)
    expect(of({ ageBand: '14-17' }, {})).toEqual({ ...nothing, noStranglesOrLegLocks: true, endsAtHadIt: true })
    expect(of({ spares: [{ part: 'knee' }, { part: 'elbow', side: 'left' }] }, {}).spared).toEqual([
      { name: 'x', parts: ['knee', 'left elbow'] },
    ])
    expect(of({ ageBand: '14-17' }, { ageBand: '14-17' })).toEqual({ ...nothing, endsAtHadIt: true })
    expect(of({}, { experience: 'first-months' })).toEqual({ ...nothing, endsAtHadIt: true })
  })

  it('keep minors apart by as much as the club says', () => {
    const [one, other] = [38, 44].map((weight) => person(`w${weight}`, { ageBand: '10-13', weight }))
    expect(keptApart(one, other)).toBe('sizes')
    expect(keptApart(one, other, { limits: { minorsApart: 15 } })).toBeNull()
  })

  it.each([2, 5, 6, 9, 12])('go round so that all of %d meet', (n) => {
    const people = Array.from({ length: n }, (_, i) => person(`p${i}`))
    const met = new Map<string, number>()
    for (let turn = 0; turn < (n % 2 ? n : n - 1); turn++) {
      const { pairs, alone } = allMeet(people, turn)
      expect([...pairs.flat(), ...alone].sort()).toEqual(people.map(({ id }) => id).sort())
      // The odd one out makes a three.
      expect([alone.length, pairs.filter((pair) => pair.length === 3).length]).toEqual([0, n % 2])
      for (const pair of pairs) {
        const key = pair.slice(0, 2).sort().join(' ')
        met.set(key, (met.get(key) ?? 0) + 1)
      }
    }
    expect([met.size, ...new Set(met.values())]).toEqual([(n * (n - 1)) / 2, 1])
    expect(allMeet([], 3)).toEqual({ pairs: [], alone: [] })
  })

  it('go round without those who must be kept apart ever meeting, and leave out nobody who may work', () => {
    const anyone = fc.record({
      ageBand: fc.constantFrom('14-17' as const, 'adult' as const),
      notWith: fc.subarray(['p0', 'p1', 'p2', 'p3', 'p4', 'p5']),
    })
    fc.assert(
      fc.property(fc.array(anyone, { minLength: 2, maxLength: 6 }), fc.nat(11), (some, turn) => {
        const people = some.map((one, i) =>
          person(`p${i}`, { ...one, notWith: one.notWith.filter((id) => id !== `p${i}`) }),
        )
        const find = (id: string) => people.find((one) => one.id === id)!
        const { pairs, alone } = allMeet(people, turn)
        expect([...pairs.flat(), ...alone].sort()).toEqual(people.map(({ id }) => id).sort())
        for (const pair of pairs)
          for (const a of pair) for (const b of pair) if (a !== b) expect(keptApart(find(a), find(b))).toBeNull()
        const left = alone.map(find)
        for (const a of left) for (const b of left) if (a !== b) expect(keptApart(a, b)).not.toBeNull()
      }),
      { seed: 23, numRuns: 200 },
    )
  })
})
