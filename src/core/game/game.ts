import type { HoldSet } from '../holds/holdTable'
import type { ChartIndex } from './chartIndex'
import type { Scenario } from './scenario'

/*
 * The coach's words end here, the field's begin:
 *
 *   position and its holds, what just stalled   -> state (those of one position and holds form a group)
 *   reaction, its holds, what met it            -> state (a group of its own)
 *   waiting, conceding, a move or answer tried  -> action
 *   landing, nothing, a slip, elsewhere,
 *   a reaction met                              -> outcome, with its chance
 *   what an exchange is worth                   -> value
 *   the plan                                    -> policy
 *   how often something is met                  -> occupancy
 *
 * Only compileGame (in) and describe (out) cross this line.
 */

/** States 0 to 3 are the terminals. */
export const TERMINAL = { finish: 0, caught: 1, goal: 2, over: 3 } as const
export const TERMINALS = 4
export { NONE } from './none'

export const OUTCOME = { lands: 0, stalls: 1, elsewhere: 2, reaction: 3, slips: 4 } as const
export type OutcomeKind = (typeof OUTCOME)[keyof typeof OUTCOME]

/** How an exchange ends without a finish, in the order of `ends` in the scenario. */
export const ENDINGS = ['ours', 'even', 'theirs'] as const

/**
 * A finite game as typed arrays in compressed sparse rows. States that differ only in the action that has just stalled
 * form a group, which stores its actions once; waiting or conceding comes first.
 */
export interface Game {
  scenario: Scenario
  stateCount: number
  /** Number of states reached from the start, terminals not counted. */
  reachedCount: number
  reached: Uint8Array
  start: number
  /** What an exchange is worth that reached a terminal. */
  terminalWorths: TerminalWorths
  /** Longest action, in seconds. */
  maxSeconds: number

  /** Groups in which something is done. Behind them stand the arrivals: groups without actions. */
  groupCount: number
  /** States of group g: groupStates[g] to groupStates[g + 1]. */
  groupStates: Int32Array
  /** Actions of group g: groupActions[g] to groupActions[g + 1]. */
  groupActions: Int32Array
  groupIsReaction: Uint8Array
  /** What an exchange is worth that ends in the group, −1 to 1. */
  groupWorth: Float64Array
  /** Index into `ENDINGS`; and 1 where a careful coach counts ending there as behind: as worth less than nothing. */
  groupEnding: Uint8Array
  groupIsBehind: Uint8Array
  /**
   * Chance per second that the exchange breaks up; if it does not, that they finish us; and if not that either, that
   * they are gone, and it is over.
   */
  groupBreak: Float64Array
  groupThreat: Float64Array
  groupOut: Float64Array

  stateGroup: Int32Array
  /**
   * By state: the action that has just stalled (NONE: none), and the share that its next try lands less (NaN: it cannot
   * be tried again).
   */
  stateStalled: Int32Array
  stateLoss: Float64Array

  /**
   * By action: the first action of the same position with the same seconds and outcomes; itself where there is none
   * before it.
   */
  actionLike: Int32Array
  actionSeconds: Int32Array
  /**
   * By action: the chance-weighted worth of what may end the exchange while it is done; and the chance that nothing
   * does.
   */
  actionToll: Float64Array
  actionAlive: Float64Array
  /** Outcomes of action a: outcomes[a] to outcomes[a + 1]; from reactionsFrom[a] on they are reactions. */
  outcomes: Int32Array
  reactionsFrom: Int32Array
  /**
   * By action: the state where a move lands and the state where it stalls, NONE where there is none. For waiting: the
   * state itself, if nothing happens.
   */
  actionLanding: Int32Array
  actionNothing: Int32Array
  /** By action: the part, 0 to 1, of what comes to nothing that slips; and the state where it leads, NONE for none. */
  actionSlips: Float64Array
  actionSlipsTo: Int32Array
  /** By action: the chance that they react at all, the sum over its reactions. */
  actionMass: Float64Array

  outcomeState: Int32Array
  outcomeChance: Float64Array

  /**
   * From this state on all are arrivals: an exchange comes to a position, and at once, in the same second, it is dealt
   * what is seen there. Nobody is ever in such a state; it has the value of what is dealt.
   */
  arrivalsFrom: number
  /** What may be seen on arrival i, from `arrivalsFrom` on: sights[i] to sights[i + 1]; its state, and its share. */
  sights: Int32Array
  sightState: Int32Array
  sightShare: Float64Array

  meaning: Meaning
}

/** What the indices stand for. */
export interface Meaning {
  index: ChartIndex
  /** State of each position with its own holds and nothing stalled. */
  ownState: Int32Array
  /** Of a match: the start with each score, from the lowest on. */
  startByScore?: Int32Array
  /**
   * By move: the state of its position with the position’s own holds and the move just stalled; NONE where it cannot be
   * tried.
   */
  stalledState: Int32Array
  /** Group's position, or its reaction. */
  groupPlace: Int32Array
  groupHolds: HoldSet[]
  /** Index of the cue that is seen in the group's states, or NONE. */
  groupSeen: Int32Array
  /** Index of the cue of each sight, or NONE for nothing in particular. */
  sightCue: Int32Array
  /**
   * By group: the move that has just stalled in all its states, where that move can be tried in several ways; else
   * NONE.
   */
  groupStalled: Int32Array
  /** Index of the move; NONE for waiting and conceding. */
  actionMove: Int32Array
  /** Index of the answer; NONE where the move is tried from its own position. */
  actionAnswer: Int32Array
  outcomeKind: Uint8Array
  /** Index of the reaction, or NONE. */
  outcomeReaction: Int32Array
}

/** By terminal. */
export type TerminalWorths = [finish: number, caught: number, goal: number, over: number]

/** What an exchange is worth that reached a terminal. */
export function terminalWorth({ objective, ends }: Pick<Scenario, 'objective' | 'ends'>): TerminalWorths {
  return objective === 'careful' ? [1, -1, 1, ends.even] : [1, 0, 1, 0]
}
