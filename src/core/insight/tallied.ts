import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { MoveId, ReactionId } from '../chart/ids'
import { talliedRounds, totalOf, type Tries } from '../chart/tries'

/** What was tallied of a move, cold or as an answer, beside its guess; shares of all tries, 0 to 1. */
export interface Tallied {
  move: MoveId
  /** The reaction that it answers; null where it is tried cold. */
  reply: ReactionId | null
  guess: number
  worked: number
  of: number
  /** What the true share lies within, eight times of ten. */
  low: number
  high: number
}

/** The standard normal quantile of nine tenths: within it on both sides lie eight of ten. */
const EIGHT_OF_TEN = 1.2816

/** Where a share lies after so many tries, eight times of ten unless `z` says otherwise: Wilson's interval (1927). */
export function wilson(worked: number, of: number, z = EIGHT_OF_TEN): { low: number; high: number } {
  if (of === 0) return { low: 0, high: 1 }
  const share = worked / of
  const wide = 1 + (z * z) / of
  const middle = (share + (z * z) / (2 * of)) / wide
  const half = (z / wide) * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of))
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}

/** What was tallied on the mat, the most often first. */
export function talliedOf(chart: Chart): Tallied[] {
  const of = (tries: Tries | undefined, move: MoveId, reply: ReactionId | null): Tallied[] => {
    if (!tries) return []
    const { worked, failed } = talliedRounds(tries)
    const rounds = worked + failed
    if (rounds === 0) return []
    const total = totalOf(tries)
    const guess = total ? (tries.lands ?? 0) / total : 0
    return [{ move, reply, guess, worked, of: rounds, ...wilson(worked, rounds) }]
  }
  return [
    ...chart.moves.flatMap(({ id, tries }) => of(tries, id, null)),
    ...chart.answers.flatMap(({ move, reaction, tries }) =>
      lookUp(chart.moves, move) ? of(tries, move, reaction) : [],
    ),
  ].sort((a, b) => b.of - a.of)
}
