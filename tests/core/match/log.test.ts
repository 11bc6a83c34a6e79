import type { Chart } from '../../../src/core/chart/chart'
import { totalOf, wholeOf, type Tries } from '../../../src/core/chart/tries'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { adjusted, type Athlete } from '../../../src/core/match/adjust'
import { betterOf, chanceMore } from '../../../src/core/match/better'
import { Counts } from '../../../src/core/match/counts'
import { between, KAPPA, NOTHING_COUNTED } from '../../../src/core/match/estimates'
import { normalQuantile, sharesOf, withShares } from '../../../src/core/match/shares'
import { weightsOf, type LoggedTry } from '../../../src/core/match/tryLog'
import { normal } from '../../../src/core/chart/race'
import { seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const MOVE = demo.moves.find(({ tries }) => (tries?.lands ?? 0) > 0 && Object.keys(tries?.reactions ?? {}).length > 1)!
const now = '2026-11-29'
const tried = (more: Partial<LoggedTry> = {}): LoggedTry => ({
  ...{ when: now, in: 'spar', us: 'ana', them: 'bo', move: MOVE.id, outcome: 'lands' },
  ...more,
})
const weights = (log: LoggedTry[], more: object = {}) => weightsOf({ tries: log, now, ...more })

describe('what a logged try counts for', () => {
  it('follows how much the partner let it happen', () => {
    expect(weights([tried(), tried({ in: 'drill' }), tried({ in: 'drill', resistance: 'some' })])).toEqual([1, 0, 0.5])
    expect(weights([tried({ in: 'round', resistance: 'scripted' }), tried({ in: 'match' })])).toEqual([0, 1])
  })

  it('halves with every half-life, in whole days, and is never more than one', () => {
    const old = tried({ when: '2026-06-02' })
    expect(weights([old])[0]).toBeCloseTo(0.5, 12)
    expect(weights([old], { halfLife: 90 })[0]).toBeCloseTo(0.25, 12)
    expect(weights([tried({ when: '2027-01-01' })])).toEqual([1])
    expect(weights([tried({ when: `${now}T21:40:00` })])).toEqual([1])
  })

  it('is nothing where it was not watched whole, or with the other clothes', () => {
    expect(weights([tried({ isPartial: true })])).toEqual([0])
    expect(weights([tried({ gi: true }), tried({ gi: false }), tried()], { gi: true })).toEqual([1, 0, 1])
    expect(weights([tried({ gi: false })])).toEqual([1])
  })

  it('is at most three together for one move of one pair in one session', () => {
    const session = 'tuesday'
    const five = Array.from({ length: 5 }, () => tried({ session }))
    expect(weights(five)).toEqual(five.map(() => expect.closeTo(0.6, 12)))
    expect(weights([...five, tried({ session, them: 'cy' }), tried({ session: 'friday' }), tried()]).slice(5)).toEqual([
      1, 1, 1,
    ])
    const mixed = [...five.slice(0, 4), tried({ session, resistance: 'some' })]
    expect(weights(mixed).reduce((sum, w) => sum + w, 0)).toBeCloseTo(3, 12)
  })
})

describe('what is counted of a log', () => {
  it('lists what the chart does not know and counts it nowhere', () => {
    const [one] = demo.answers
    const log = [
      tried({ move: 'no-move' as never }),
      tried({ reply: 'no-reaction' as never }),
      tried({ outcome: { reaction: 'no-reaction' } }),
      tried({ outcome: { elsewhere: 'no-place' } }),
      tried({ outcome: { elsewhere: 'over' } }),
      tried({ move: one.move, reply: one.reaction }),
    ]
    const counts = new Counts(demo, { tries: log, now })
    expect(counts.unknown).toEqual(log.slice(0, 4))
    expect(counts.all(MOVE.id).outcomes.get('elsewhere over')).toBe(1)
  })

  it('spreads what only did not land as it is guessed', () => {
    const { total, outcomes } = new Counts(demo, { tries: [tried({ outcome: 'failed' })], now }).all(MOVE.id)
    const shares = sharesOf(wholeOf(MOVE))
    expect([total, outcomes.has('lands')]).toEqual([1, false])
    const others = 1 - shares.get('lands')!
    for (const [key, share] of outcomes) expect(share).toBeCloseTo(shares.get(key)! / others, 12)
  })

  it('keeps landing within bounds once something was logged, and as guessed where that lies outside', () => {
    const group = new Map([
      ['lands', 0.5],
      ['stalls', 0.5],
    ])
    const much = { outcomes: new Map([['lands', 4000]]), total: 4000 }
    const match = { group, isLogged: true, ours: much, theirs: much, landing: 2, reactions: new Map() }
    expect(between(match).get('lands')).toBe(0.995)
    expect(between({ ...match, isLogged: false }).get('lands')).toBeGreaterThan(0.995)
    const sure = new Map([
      ['lands', 0.999],
      ['stalls', 0.001],
    ])
    const nobody = { ...match, group: sure, ours: NOTHING_COUNTED, theirs: null, landing: 0 }
    expect(between(nobody).get('lands')).toBeCloseTo(0.999, 12)
  })
})

/** 5.6 as one would write it down for moves alone, with lists in place of maps: one person as us, nobody as them. */
function plainly(tries: Tries, log: LoggedTry[], us: string): number {
  const total = totalOf(tries)
  const [p, w] = [(tries.lands ?? 0) / total, tries.weight ?? total]
  const sum = (some: LoggedTry[]) => some.reduce((all, one) => all + 2 ** (-ageIn(one) / 180), 0)
  const lands = log.filter(({ outcome }) => outcome === 'lands')
  const g = (w * p + sum(lands)) / (w + sum(log))
  const own = (list: LoggedTry[]) => list.filter((one) => one.us === us)
  return (KAPPA * g + sum(own(lands))) / (KAPPA + sum(own(log)))
}
const ageIn = ({ when }: LoggedTry) => (Date.parse(now) - Date.parse(when)) / 86_400_000

describe('a chart between two people', () => {
  it('lands as a plain reckoning says, keeps its totals, and can be played', () => {
    const random = seeded(11)
    for (let seed = 1; seed <= 25; seed++) {
      const plain = randomChart(seed, true)
      const moves = plain.moves.map(({ race: _, ...one }) => one)
      const answers = plain.answers.map(({ race: _, ...one }) => one)
      const chart: Chart = { ...plain, moves: moves as never, answers: answers as never }
      const log = Array.from({ length: 40 }, (): LoggedTry => {
        const { id } = moves[Math.floor(random() * moves.length)]
        const when = `2026-${random() < 0.5 ? '10' : '04'}-1${Math.floor(random() * 10)}`
        return tried({
          move: id,
          when,
          us: random() < 0.5 ? 'ana' : 'di',
          outcome: random() < 0.5 ? 'lands' : 'stalls',
        })
      })
      const ana: Athlete = { id: 'ana', traits: {} }
      const found = adjusted(chart, { us: ana, them: null, log: { tries: log, now } })
      found.moves.forEach((move, i) => {
        const before = moves[i].tries
        if (!before || !move.tries || totalOf(before) === 0) return
        expect(totalOf(move.tries)).toBeCloseTo(totalOf(before), 9)
        const lands = (move.tries.lands ?? 0) / totalOf(before)
        const said = plainly(
          before,
          log.filter((one) => one.move === move.id),
          'ana',
        )
        const p = (before.lands ?? 0) / totalOf(before)
        if (p > 0.005 && p < 0.995) expect(lands).toBeCloseTo(Math.min(0.995, Math.max(0.005, said)), 9)
      })
      const { figures } = taken(figuresOf(found, scenarioOf(found, randomScenario(found, seed, true))))
      expect(Number.isFinite(figures.value)).toBe(true)
    }
  })

  it('is the very same chart for nobody, for usual people, and for tries that count nothing', () => {
    const usual: Athlete = { id: 'ana', traits: { arms: 0 } }
    expect(adjusted(demo, { us: usual, them: usual })).toBe(demo)
    const drilled = [tried({ in: 'drill' })]
    expect(adjusted(demo, { us: usual, them: null, log: { tries: drilled, now } })).toBe(demo)
  })

  it('comes back to a race that gives the shares which were asked', () => {
    const tries = {
      lands: 2,
      stalls: 1,
      race: { reaction: 'turns' as never, ours: 2, theirs: 3, spread: 0.4, tries: 4 },
    }
    const asked = new Map([
      ['lands', 0.35],
      ['stalls', 0.2],
      ['reaction turns', 0.45],
    ])
    const back = sharesOf(withShares(tries, asked))
    for (const [key, share] of asked) expect(back.get(key)).toBeCloseTo(share, 10)
  })

  it.each([1e-9, 0.003, 0.2, 0.5, 0.81, 0.9999])('finds where the normal distribution comes to %d', (p) => {
    expect(normal(normalQuantile(p))).toBeCloseTo(p, 14)
  })
})

describe('better of two', () => {
  it.each([
    [2, 3, 4, 1],
    [1, 1, 1, 5],
    [6, 9, 3, 3],
    [20, 35, 12, 11],
  ])('is what whole numbers of tries sum to: %d %d against %d %d', (a, b, c, d) => {
    // P(X > Y) for whole parameters, by summing (Cook 2005): products of Beta functions.
    const gammaln = (n: number) => Array.from({ length: n - 1 }, (_, i) => Math.log(i + 1)).reduce((x, y) => x + y, 0)
    const beta = (x: number, y: number) => gammaln(x) + gammaln(y) - gammaln(x + y)
    let sum = 0
    for (let i = 0; i < a; i++) {
      sum += Math.exp(beta(c + i, b + d) - Math.log(b + i) - beta(1 + i, b) - beta(c, d))
    }
    expect(chanceMore([a, b], [c, d])).toBeCloseTo(sum, 10)
    expect(chanceMore([c, d], [a, b])).toBeCloseTo(1 - sum, 10)
  })

  it('is even for the same, holds for much and little together, and gives up where counting will not settle it', () => {
    expect(chanceMore([0.3, 0.6], [0.3, 0.6])).toBeCloseTo(0.5, 9)
    expect(chanceMore([5000, 5000], [0.5, 0.5])).toBeCloseTo(0.5, 6)
    expect(betterOf([4000, 4000], [4000, 4001]).more).toBeNull()
    const { more, better } = betterOf([6, 8], [4, 9])
    expect(better).toBeNull()
    const after = (n: number) => chanceMore([6 + (n * 6) / 14, 8 + (n * 8) / 14], [4 + (n * 4) / 13, 9 + (n * 9) / 13])
    expect(after(more! / 2)).toBeGreaterThanOrEqual(0.9)
    expect(after(more! / 2 - 1)).toBeLessThan(0.9)
  })
})
