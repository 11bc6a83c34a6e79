import type { Person } from '../../../core/chart/words'

/** One of the hold lists of a move or reaction: whose holds they are, and what it does with them. */
export interface HoldField {
  field: 'needs' | 'adds' | 'drops' | 'keeps' | 'strips'
  of: Person
  says: string
}

export const HOLDS_OF_MOVE: readonly HoldField[] = [
  { field: 'needs', of: 'ours', says: 'needs' },
  { field: 'adds', of: 'ours', says: 'puts on' },
  { field: 'drops', of: 'ours', says: 'lets go of' },
  { field: 'keeps', of: 'ours', says: 'keeps into another frame' },
  { field: 'strips', of: 'theirs', says: 'takes off them' },
]

export const HOLDS_OF_REACTION: readonly HoldField[] = [
  { field: 'adds', of: 'theirs', says: 'they put on' },
  { field: 'strips', of: 'ours', says: 'they take off us' },
]
