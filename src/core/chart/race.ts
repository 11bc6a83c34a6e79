import { IsRecordId, Optional } from '../document/constraints'
import { IsRaceSeconds, IsSpread, IsTryWeight } from './constraints'
import type { ReactionId } from './ids'

export const DEFAULT_SPREAD = 0.3

/**
 * Of some tries the two start for the same place, each with a time of their own. First, we land; second, we meet the
 * reaction.
 */
export class Race {
  @IsRecordId() reaction!: ReactionId
  /** Median times in seconds where no hold slows anybody. */
  @IsRaceSeconds() ours!: number
  @IsRaceSeconds() theirs!: number
  /** Standard deviation of the logarithm of each time; absent: `DEFAULT_SPREAD`. */
  @Optional() @IsSpread() spread?: number
  /** In how many tries they race. */
  @IsTryWeight() tries!: number
}

/** A race as a question supposes it: what we lose comes to nothing. Never in a file. */
export interface SupposedRace extends Race {
  comesToNothing?: true
}

/** Median times of a race in seconds, `Infinity` for who never gets there, and their spread. */
export type RaceTimes = Required<Pick<Race, 'ours' | 'theirs' | 'spread'>>

/** The chance, 0 to 1, that we are first where both times are lognormal about their medians. */
export function chanceFirst({ ours, theirs, spread }: RaceTimes): number {
  if (ours === Infinity) return 0
  if (theirs === Infinity) return 1
  return normal(Math.log(theirs / ours) / (spread * Math.SQRT2))
}

/** Beyond so many standard deviations nothing is left that a double could tell from 0 or 1. */
const FAR = 8
const LOG_ROOT_2_PI = 0.5 * Math.log(2 * Math.PI)

/** The distribution function of the standard normal, by its series about 0 (Marsaglia 2004, J. Stat. Software 11/4). */
export function normal(x: number): number {
  if (Math.abs(x) > FAR) return x < 0 ? 0 : 1
  let sum = x
  let before = 0
  for (let term = x, i = 3; sum !== before; i += 2) {
    before = sum
    term *= (x * x) / i
    sum += term
  }
  return 0.5 + sum * Math.exp(-0.5 * x * x - LOG_ROOT_2_PI)
}
