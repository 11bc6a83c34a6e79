import { IsTryCount, IsTryMap, Optional } from './constraints'

/** How about ten tries go: counts, not probabilities; absent is 0. */
export class Tries {
  @Optional() @IsTryCount() lands?: number
  @Optional() @IsTryCount() stalls?: number
  /** Position id or `caught` to count. */
  @Optional() @IsTryMap() elsewhere?: Record<string, number>
  /** Reaction id to count. */
  @Optional() @IsTryMap() reactions?: Record<string, number>
  /** How many real tries they count for, where that is not their total: a guess of little weight. */
  @Optional() @IsTryCount() weight?: number
}

const sum = (map: Record<string, number> | undefined) => Object.values(map ?? {}).reduce((total, n) => total + n, 0)

/** How many tries there are in all. */
export const totalOf = ({ lands = 0, stalls = 0, elsewhere, reactions }: Tries): number =>
  lands + stalls + sum(elsewhere) + sum(reactions)

/** How sure the coach is of the tries: in real tries. */
export const weightOf = (tries: Tries): number => tries.weight ?? totalOf(tries)

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
