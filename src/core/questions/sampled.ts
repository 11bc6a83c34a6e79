import { sure } from '../sure'
import { randomGamma, randomLcg } from 'd3-random'
import type { Chart } from '../chart/chart'
import { goingBy, isOwn, totalOf, weightOf, withWeight, wholeOf, type Goes } from '../chart/tries'
import type { Counts, Refill } from '../game/refill'

/** What is added to each outcome's count: what was never seen may still be (Jeffreys 1946). */
const HALF = 0.5
/** Least count of what had tries, so that the outcomes of a move stay the same. */
const LEAST = 1e-6
/** Share of a move's tries that stands for none. */
const NEXT_TO_NONE = 1e-9

/**
 * The chart as samples are drawn from it: tallied rounds are counted in, and every move may land and may come to
 * nothing, if only next to never, so that its outcomes are the same in every sample.
 */
export function openToAll(chart: Chart): Chart {
  const open = <R extends Goes>(record: R): R => {
    if (!isOwn(record)) return record
    const { whole: sum, weight } = withWeight(wholeOf(record))
    const least = Math.max(totalOf(sum), 1) * NEXT_TO_NONE
    const [lands, stalls] = [Math.max(least, sum.lands ?? 0), Math.max(least, sum.stalls ?? 0)]
    return goingBy(record, { ...sum, lands, stalls, weight })
  }
  return { ...chart, moves: chart.moves.map(open), answers: chart.answers.map(open) }
}

/**
 * Draws tries as they might really be. Shares come from the Dirichlet distribution (Gelman et al. 2013, 3.4, by gamma
 * variates) of the guess at its weight, the tallied rounds and a half for each outcome.
 */
export class Sampler {
  /** By tries: how many real ones a single one counts for. */
  private readonly scales: number[]

  /** `refill`: of a chart that is `openToAll`. */
  constructor(private readonly refill: Refill) {
    this.scales = refill.guesses.map((guess) => (guess ? weightOf(guess) / totalOf(guess) : 0))
  }

  /** Sample `i` of those that belong to `seed`; the same each time. */
  draw(seed: number, i: number): Counts {
    const { counts } = this.refill
    const gamma = randomGamma.source(randomLcg(hashed(seed, i)))
    const draw = (n: number, scale: number) => Math.max(LEAST, gamma(n * scale + HALF)())
    const each = (list: [number, number][], scale: number) =>
      list.map(([of, n]): [number, number] => [of, draw(n, scale)])
    return {
      tries: counts.tries.map((one, i) => {
        if (!one) return one
        const scale = sure(this.scales[i])
        const { lands, stalls, elsewhere, reactions, race } = one
        return {
          lands: draw(lands, scale),
          stalls: draw(stalls, scale),
          elsewhere: each(elsewhere, scale),
          reactions: each(reactions, scale),
          race: race && { ...race, tries: draw(race.tries, scale) },
        }
      }),
      unprompted: counts.unprompted.map((one) => each(one, 1)),
    }
  }
}

/**
 * A seed for sample `i`, 0 to 2^32 − 1. Seeds in a row would make the first numbers drawn lie in a row, too: bits are
 * mixed (the finaliser of MurmurHash3, Appleby 2011).
 */
function hashed(seed: number, i: number): number {
  let bits = Math.imul(seed, 0x9e3779b1) ^ Math.imul(i + 1, 0x85ebca77)
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b)
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35)
  return (bits ^ (bits >>> 16)) >>> 0
}
