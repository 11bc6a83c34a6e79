import type { HoldSet } from '../holds/holdTable'
import type { ChartIndex } from './chartIndex'
import type { Scenario } from './scenario'

/*
 * The coach's words end here, the field's begin:
 *
 *   position and its holds, what just stalled   -> state (those of one position and holds form a group)
 *   reaction, its holds, what met it            -> state (a group of its own)
 *   waiting, conceding, a move or answer tried  -> action
 *   landing, nothing, elsewhere, a reaction met -> outcome, with its chance
 *   what an exchange is worth                   -> value
 *   the plan                                    -> policy
 *   how often something is met                  -> occupancy
 *
 * Only compileGame (in) and describe (out) cross this line.
 */

/** States 0 to 2 are the terminals. */
export const TERMINAL = { finish: 0, caught: 1, goal: 2 } as const
export const TERMINALS = 3
export const NONE = -1

export const OUTCOME = { lands: 0, stalls: 1, elsewhere: 2, reaction: 3 } as const
export type OutcomeKind = (typeof OUTCOME)[keyof typeof OUTCOME]

/** The endings of an exchange that are no finish, in the order of the model's `ends`. */
export const ENDINGS = ['ours', 'even', 'theirs'] as const

/**
 * A finite game in rows of typed arrays (compressed sparse rows). The states of a group differ only in which
 * action has just stalled; its actions are stored once, waiting or conceding first.
 */
export interface Game {
  scenario: Scenario
  stateCount: number
  /** States that the search from the start alone reached, terminals not counted. */
  reachedCount: number
  reached: Uint8Array
  start: number
  /** Longest action, in seconds. */
  maxSeconds: number

  groupCount: number
  /** States of group g: groupStates[g] to groupStates[g + 1]. */
  groupStates: Int32Array
  /** Actions of group g: groupActions[g] to groupActions[g + 1]. */
  groupActions: Int32Array
  groupIsReaction: Uint8Array
  /** Worth of an exchange that ends here. */
  groupWorth: Float64Array
  /** Index into `ENDINGS`. */
  groupEnding: Uint8Array
  /** Chance a second that the exchange breaks up, and then that they finish us. */
  groupBreak: Float64Array
  groupThreat: Float64Array

  stateGroup: Int32Array
  /** The action that has just stalled, or NONE; and the share of it that no longer lands (NaN: it cannot be tried again). */
  stateStalled: Int32Array
  stateLoss: Float64Array

  /** The first action that is the very same from another group of the position: as long, with the same outcomes. */
  actionLike: Int32Array
  actionSeconds: Int32Array
  /** Broken off or caught on the way, times what that is worth; and the chance of neither. */
  actionToll: Float64Array
  actionAlive: Float64Array
  /** Outcomes of action a: outcomes[a] to outcomes[a + 1]; from reactionsFrom[a] on they are reactions. */
  outcomes: Int32Array
  reactionsFrom: Int32Array
  /** For a move: its landing and its stalling state; NONE where it has none. For waiting, the rest stays. */
  actionLanding: Int32Array
  actionNothing: Int32Array
  /** Chance that they react at all. */
  actionMass: Float64Array

  outcomeState: Int32Array
  outcomeChance: Float64Array

  meaning: Meaning
}

/** What the indices stand for. */
export interface Meaning {
  index: ChartIndex
  /** State of each position with its own holds and nothing stalled. */
  ownState: Int32Array
  /** The same with the move just stalled, for each move; NONE where it cannot be tried so. */
  stalledState: Int32Array
  /** Group's position, or its reaction. */
  groupPlace: Int32Array
  groupHolds: HoldSet[]
  /** The move that has just stalled in all states of the group, where it may be tried in several ways; or NONE. */
  groupStalled: Int32Array
  /** Index of the move; NONE for waiting and conceding. */
  actionMove: Int32Array
  /** Index of the answer; NONE where the move is tried from its own position. */
  actionAnswer: Int32Array
  outcomeKind: Uint8Array
  /** Index of the reaction, or NONE. */
  outcomeReaction: Int32Array
}

/** What an exchange is worth that reached a terminal. */
export function terminalWorth(scenario: Scenario): [finish: number, caught: number, goal: number] {
  return [1, scenario.objective === 'careful' ? -1 : 0, 1]
}
