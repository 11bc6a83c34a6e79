import { IsBoolean } from 'class-validator'
import { IsDay, Optional, Records } from '../document/constraints'
import { IsReactionMap, IsTryCount, IsTryMap, IsTryWeight } from './constraints'
import { toReactionId, type ReactionId } from './ids'
import { chanceFirst, DEFAULT_SPREAD, type SupposedRace } from './race'

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

/** How something goes in all: its tries, and the race among them. */
export interface Whole extends Tries {
  race?: SupposedRace
}

/** What of a record says how it goes. */
export interface Goes {
  tries?: Tries | undefined
  race?: SupposedRace | undefined
}

/** Whether a record says how it goes. An answer that has neither tries nor a race of its own goes as its move does. */
export const isOwn = ({ tries, race }: Goes): boolean => Boolean(tries ?? race)

export const wholeOf = ({ tries = {}, race }: Goes): Whole => (race ? { ...tries, race } : tries)

/** The record with other tries, and the race among them, if there is one. */
export function goingBy<R extends Goes>(record: R, { race, ...tries }: Whole): R {
  const { race: _, ...rest } = record
  return { ...rest, ...(record.tries || totalOf(tries) > 0 ? { tries } : {}), ...(race ? { race } : {}) } as R
}

/** The tries with a race written out at its own times, as it goes where no hold slows anybody. */
export function writtenOut({ race, ...tries }: Whole): Tries {
  if (!race) return tries
  const { reaction, ours, theirs, spread = DEFAULT_SPREAD } = race
  const won = race.tries * chanceFirst({ ours, theirs, spread })
  const met = (tries.reactions?.[reaction] ?? 0) + race.tries - won
  return { ...tries, lands: (tries.lands ?? 0) + won, reactions: { ...tries.reactions, [reaction]: met } }
}

/** What they do in reply, in the order of the tries, and what they race for. */
export function reactionsMet({ tries, race }: Goes): ReactionId[] {
  const met = Object.keys(tries?.reactions ?? {}).map(toReactionId)
  return race && !met.includes(race.reaction) ? [...met, race.reaction] : met
}

/** How often each reaction is met in the tries, the one that they race for counted as if it were met each time. */
export const countsMet = ({ reactions = {}, race }: Whole): Record<string, number> =>
  race ? { ...reactions, [race.reaction]: (reactions[race.reaction] ?? 0) + race.tries } : reactions

/** The tries of a move; none for one that is only in reply and goes as each answer says. */
export const triesOf = ({ tries }: { tries?: Tries | undefined }): Tries => tries ?? {}

const sum = (map: Record<string, number> | undefined) => Object.values(map ?? {}).reduce((total, n) => total + n, 0)

/** How many tries there are in all. */
export const totalOf = ({ lands = 0, stalls = 0, elsewhere, reactions, race }: Whole): number =>
  lands + stalls + sum(elsewhere) + sum(reactions) + (race?.tries ?? 0)

/** How sure the coach is of the tries: in real tries. */
export const weightOf = (tries: Whole): number => tries.weight ?? totalOf(tries)

/** In how many of the tallied rounds it worked, and in how many it did not. */
export function talliedRounds({ tallies = [] }: Tries): { worked: number; failed: number } {
  const sumOf = (worked: boolean) =>
    tallies.reduce((all, tally) => all + (tally.worked === worked ? tally.weight : 0), 0)
  return { worked: sumOf(true), failed: sumOf(false) }
}

/**
 * The tries as the plan counts them: the share that lands is the mean of the guess, at its weight, and of the tallied
 * rounds; the other outcomes, a race among them, keep their proportions. The total stays.
 */
export function withTallies(tries: Whole): Whole {
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
    ...(guess.race ? { race: { ...guess.race, tries: guess.race.tries * keep } } : {}),
  }
}

/** The tries as the plan counts them, and how many real tries they stand for, the tallied rounds among them. */
export function withWeight(tries: Whole): { whole: Whole; weight: number } {
  const { worked, failed } = talliedRounds(tries)
  return { whole: withTallies(tries), weight: weightOf(tries) + worked + failed }
}

/** True when the tries have something that can come of them besides nothing. */
export function comesToSomething(tries: Whole): boolean {
  return (tries.lands ?? 0) > 0 || sum(tries.elsewhere) > 0 || sum(tries.reactions) > 0 || tries.race !== undefined
}

/** The tries with one reaction's count moved to `stalls`, as if they did nothing instead; of a race, what we lose. */
export function withoutReaction<T extends Whole>(tries: T, reaction: string): T {
  const reactions = { ...tries.reactions }
  const moved = reactions[reaction] ?? 0
  delete reactions[reaction]
  const race = tries.race?.reaction === reaction ? { race: { ...tries.race, comesToNothing: true as const } } : {}
  return { ...tries, stalls: (tries.stalls ?? 0) + moved, reactions, ...race }
}
