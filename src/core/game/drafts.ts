import type { HoldSet } from '../holds/holdTable'
import { NONE } from './none'
import type { OutcomeKind } from './game'

/** The states reached from a start, still in lists; `layOut` makes typed arrays of it. */

/** The outcomes of all actions in columns, since there are many of them. */
export interface DraftOutcomes {
  kind: OutcomeKind[]
  state: number[]
  chance: number[]
  reaction: number[]
}

export interface DraftAction {
  move: number
  answer: number
  seconds: number
  nothing: number
  /** The part of what comes to nothing that slips, and the state where that leads, or NONE. */
  slips: number
  slipsTo: number
  /** Its outcomes: from `from` to before `to`. */
  from: number
  to: number
  /** The first of its numbers in the game: an action that stands in several groups has several. */
  row: number
}

export interface DraftGroup {
  isReaction: boolean
  /** Index of the position or reaction. */
  place: number
  /** The cue that is seen in its states, or NONE. */
  seen: number
  holds: HoldSet
  /** Its states, and by each the move that has just stalled, or NONE. */
  states: number[]
  justStalled: number[]
  /**
   * The move (in full) that has just stalled in all states of the group, where that changes more than one action; else
   * NONE.
   */
  stalled: number
  actions: DraftAction[]
  /** For a reaction: the move that met it, or NONE for unprompted; and whether it ends where that move is from. */
  metBy: number
  isHome: boolean
}

/** An action. Written out in one place only, so that all are of one shape, which is read in half of the time. */
export const draft = (
  move: number,
  answer: number,
  seconds: number,
  nothing: number,
  slips: number,
  slipsTo: number,
  from: number,
  to: number,
): DraftAction => ({ move, answer, seconds, nothing, slips, slipsTo, from, to, row: NONE })

/** What may be seen where an exchange comes to a position: the state that it is in then, and its share. */
export interface DraftSight {
  cue: number
  state: number
  share: number
}

/** A position with holds, in which nothing is known to be done yet. Of one shape, like `draft`. */
export const positionGroup = (place: number, holds: HoldSet, seen = NONE, stalled = NONE): DraftGroup =>
  group(false, place, seen, holds, stalled, NONE, true)

/** A reaction that is met with holds, in which nothing is known to be done yet. */
export const reactionGroup = (place: number, holds: HoldSet, metBy: number, isHome: boolean): DraftGroup =>
  group(true, place, NONE, holds, NONE, metBy, isHome)

const group = (
  isReaction: boolean,
  place: number,
  seen: number,
  holds: HoldSet,
  stalled: number,
  metBy: number,
  isHome: boolean,
): DraftGroup => ({ isReaction, place, seen, holds, states: [], justStalled: [], stalled, actions: [], metBy, isHome })
