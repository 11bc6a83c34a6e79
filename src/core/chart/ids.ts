import type { Branded } from '../document/ids'

/* Ids of a chart's records, branded, so that a move's id cannot stand where a position's is wanted. */

export type PositionId = Branded<'position'>
export type HoldId = Branded<'hold'>
export type MoveId = Branded<'move'>
export type ReactionId = Branded<'reaction'>
export type CueId = Branded<'cue'>

/** Where an exchange may end besides in a position: they finish us; or it is over, and nobody is ahead. */
export const END_IDS = ['caught', 'over'] as const
export type EndId = (typeof END_IDS)[number]
/** Where something may lead that ends the exchange or goes on in a position. */
export type PlaceId = PositionId | EndId

export const isEndId = (place: string): place is EndId => END_IDS.some((end) => end === place)

/* A text that is known to be the id of such a record: read from an address, made from a name, or a key of a map. */

export const toPositionId = (text: string): PositionId => text as PositionId
export const toHoldId = (text: string): HoldId => text as HoldId
export const toMoveId = (text: string): MoveId => text as MoveId
export const toReactionId = (text: string): ReactionId => text as ReactionId
export const toCueId = (text: string): CueId => text as CueId
