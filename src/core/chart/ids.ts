import type { Branded } from '../document/ids'

/* Ids of a chart's records, branded, so that a move's id cannot stand where a position's is wanted. */

export type PositionId = Branded<'position'>
export type HoldId = Branded<'hold'>
export type MoveId = Branded<'move'>
export type ReactionId = Branded<'reaction'>
