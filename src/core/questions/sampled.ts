import { sure } from '../sure'
import { randomGamma, randomLcg } from 'd3-random'
import { talliedRounds, totalOf, weightOf, withTallies, type Tries } from '../chart/tries'
import type { Counts, Refill } from '../game/refill'

/** Least count of what had tries, so that the outcomes of a move stay the same. */
const LEAST = 1e-6

/**
 * Draws tries as they might really be. Shares come from the Dirichlet distribution (Gelman et al. 2013, 3.4, by gamma
 * variates) of the guess at its weight plus the tallied rounds.
 */
export class Sampler {
  /** By tries: how many real ones a single one counts for. */
  private readonly scales: number[]

  constructor(private readonly refill: Refill) {
    this.scales = refill.guesses.map((guess) => (guess ? scaleOf(guess) : 0))
  }

  /** The same for the same seed. */
  draw(seed: number): Counts {
    const { counts } = this.refill
    const gamma = randomGamma.source(randomLcg(seed))
    const draw = (n: number, scale: number) => (n > 0 && scale > 0 ? Math.max(LEAST, gamma(n * scale)()) : n)
    const each = (list: [number, number][], scale: number) =>
      list.map(([of, n]): [number, number] => [of, draw(n, scale)])
    return {
      tries: counts.tries.map((one, i) => {
        if (!one) return one
        const scale = sure(this.scales[i])
        const { lands, stalls, elsewhere, reactions } = one
        return {
          lands: draw(lands, scale),
          stalls: draw(stalls, scale),
          elsewhere: each(elsewhere, scale),
          reactions: each(reactions, scale),
        }
      }),
      unprompted: counts.unprompted.map((one) => each(one, 1)),
    }
  }
}

function scaleOf(guess: Tries): number {
  const { worked, failed } = talliedRounds(guess)
  const total = totalOf(withTallies(guess))
  return total > 0 ? (weightOf(guess) + worked + failed) / total : 0
}
