import { IsBoolean } from 'class-validator'
import { IsDay, Optional, Records } from '../document/constraints'
import { IsReactionMap, IsTryCount, IsTryMap, IsTryWeight } from './constraints'

/** Rounds that were tallied on the mat, with one outcome: what was seen, as a fact, from which all sums are taken. */
export class MatTally {
  /** The day, as 2026-11-28; absent where nobody kept it. */
  @Optional() @IsDay() when?: string
  @IsBoolean() worked!: boolean
  /** How many rounds it counts for. */
  @IsTryWeight() weight!: number
}

/** How about ten tries go: counts, not probabilities; absent is 0. */
export class Tries {
  @Optional() @IsTryCount() lands?: number
  @Optional() @IsTryCount() stalls?: number
  /** Position id, `caught` or `over` to count. */
  @Optional() @IsTryMap() elsewhere?: Record<string, number>
  /** Reaction id to count. */
  @Optional() @IsReactionMap() reactions?: Record<string, number>
  /** How many real tries they count for, where that is not their total: a guess of little weight. */
  @Optional() @IsTryCount() weight?: number
  @Optional() @Records(() => MatTally) tallies?: MatTally[]
}

/** The tries of a move; none for one that is only in reply and goes as each answer says. */
export const triesOf = ({ tries }: { tries?: Tries | undefined }): Tries => tries ?? {}

const sum = (map: Record<string, number> | undefined) => Object.values(map ?? {}).reduce((total, n) => total + n, 0)

/** How many tries there are in all. */
export const totalOf = ({ lands = 0, stalls = 0, elsewhere, reactions }: Tries): number =>
  lands + stalls + sum(elsewhere) + sum(reactions)

/** How sure the coach is of the tries: in real tries. */
export const weightOf = (tries: Tries): number => tries.weight ?? totalOf(tries)

/** In how many of the tallied rounds it worked, and in how many it did not. */
export function talliedRounds({ tallies = [] }: Tries): { worked: number; failed: number } {
  const sumOf = (worked: boolean) =>
    tallies.reduce((all, tally) => all + (tally.worked === worked ? tally.weight : 0), 0)
  return { worked: sumOf(true), failed: sumOf(false) }
}

/**
 * The tries as the plan counts them: the share that lands is the mean of the guess, at its weight, and of the tallied
 * rounds; the other outcomes keep their proportions. The total stays.
 */
export function withTallies(tries: Tries): Tries {
  const { tallies: _, ...guess } = tries
  const { worked, failed } = talliedRounds(tries)
  const counted = worked + failed
  if (counted === 0) return guess
  const total = totalOf(guess)
  const before = (guess.lands ?? 0) / total
  const after = (weightOf(guess) * before + worked) / (weightOf(guess) + counted)
  const keep = before < 1 ? (1 - after) / (1 - before) : 0
  const scaled = (map: Record<string, number> | undefined) =>
    map && Object.fromEntries(Object.entries(map).map(([id, n]) => [id, n * keep]))
  const stalls = before < 1 ? (guess.stalls ?? 0) * keep : total * (1 - after)
  const [elsewhere, reactions] = [scaled(guess.elsewhere), scaled(guess.reactions)]
  return {
    ...guess,
    lands: total * after,
    stalls,
    ...(elsewhere ? { elsewhere } : {}),
    ...(reactions ? { reactions } : {}),
  }
}

/** True when the tries have something that can come of them besides nothing. */
export function comesToSomething(tries: Tries): boolean {
  return (tries.lands ?? 0) > 0 || sum(tries.elsewhere) > 0 || sum(tries.reactions) > 0
}

/** The tries with one reaction's count moved to `stalls`, as if they did nothing instead. */
export function withoutReaction(tries: Tries, reaction: string): Tries {
  const reactions = { ...tries.reactions }
  const moved = reactions[reaction] ?? 0
  delete reactions[reaction]
  return { ...tries, stalls: (tries.stalls ?? 0) + moved, reactions }
}
