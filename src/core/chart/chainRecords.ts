import { fieldsOf } from '../document/fields'
import type { Normaliser } from '../document/kind'
import { Answer, answerKey } from './answer'
import { Cue } from './cue'
import { Hold } from './hold'
import { Move } from './move'
import { FIT_TO_NOTES, RENAME_OVER, ROUNDS_TO_TALLIES } from './normalise'
import { Position } from './position'
import { Reaction } from './reaction'

/* What charts and shelves have in common as documents: the lists of an attack chain, their keys and older forms. */

export const CHAIN_LISTS = {
  positions: Position,
  holds: Hold,
  cues: Cue,
  moves: Move,
  reactions: Reaction,
  answers: Answer,
} as const

/** More is no plan that a coach reads, and would take minutes to compute. */
export const MAX_CHAIN = {
  positions: 2_000,
  holds: 2_000,
  cues: 2_000,
  moves: 12_000,
  reactions: 12_000,
  answers: 24_000,
} as const

/** An answer is known by the reaction and the move that it joins, any other record by its id. */
export const chainKey = (list: string, record: object): string =>
  list === 'answers' ? answerKey(fieldsOf(record)) : String(fieldsOf(record).id)

/**
 * Within which part of a list the order is one thing to choose: of the answers, those to the same reaction are in the
 * coach's order of preference; any other list is one part.
 */
export const orderedWithin = (list: string, record: object): string =>
  list === 'answers' ? String(fieldsOf(record).reaction) : ''

export const CHAIN_NORMALISERS: readonly Normaliser[] = [RENAME_OVER, ROUNDS_TO_TALLIES, FIT_TO_NOTES]
