import type { DraftAction } from '../drafts'
import { NONE } from '../game'

/** An action of a match as it is drafted. States are numbers of the draft. */
export type MatchAction = Omit<DraftAction, 'from' | 'to' | 'row'>

/**
 * Stands where games have their waiting, which the equations know to stay where it is: in a match a second of waiting
 * may begin the exchange anew, so that it is an action like others, behind this one, that nobody ever takes.
 */
export const NEVER: MatchAction = { move: NONE, answer: NONE, seconds: 1, nothing: NONE, slips: 0, slipsTo: NONE }
/** So little is it worth. */
export const NEVER_WORTH = -1e6
