import { IsArray, IsInt, Max, Min } from 'class-validator'
import { IsWord, Optional } from '../document/constraints'

/** Little warning, or a fall on somebody's legs: not under 18, and not in the first months. */
const NO_WARNING: readonly string[] = [
  ...['leglock', 'twisting-leg-lock', 'groin-split', 'neck-crank', 'spine-lock', 'wrist-lock'],
  ...['mouth-covering', 'scissor-takedown', 'jump-entry', 'drop-throw'],
]

/** What a club keeps whom from, and how far apart two may be: what is absent is as we have it. */
export class Limits {
  /** Tags of moves, `finish` for every finish. */
  @Optional() @IsArray() @IsWord({ each: true }) under14?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) under18?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) firstMonths?: string[]
  /** By how much of the heavier two minors may differ, in percent. */
  @Optional() @IsInt() @Min(0) @Max(100) minorsApart?: number
  /** From what difference on two adults do not throw each other, in percent. */
  @Optional() @IsInt() @Min(0) @Max(100) adultsApart?: number
  /** For how many rounds one may wait. */
  @Optional() @IsInt() @Min(0) @Max(20) satOut?: number
  /** From how many times on being caught is a lot for one class. In a week it is twice as often. */
  @Optional() @IsInt() @Min(1) @Max(99) caught?: number
  /** For how many rounds a winner stays on. */
  @Optional() @IsInt() @Min(1) @Max(20) stays?: number
}

/** Our defaults. The federation's rules and the law come first. */
export const OUR_LIMITS: Required<Limits> = {
  under14: ['finish', 'choke', 'armlock', ...NO_WARNING],
  under18: [...NO_WARNING],
  firstMonths: [...NO_WARNING],
  ...{ minorsApart: 10, adultsApart: 20, satOut: 2, caught: 5, stays: 3 },
}

/** The limits of a club: its own, and ours where it has none. */
export const limitsOf = ({ limits }: { limits?: Limits }): Required<Limits> => ({ ...OUR_LIMITS, ...limits })
