import type { Person } from '../../../core/chart/words'
import { t } from '../../../words/inspector'

/** One of the hold lists of a move or reaction: whose holds they are, and what it does with them. */
export interface HoldField {
  field: 'needs' | 'adds' | 'drops' | 'keeps' | 'strips'
  of: Person
  says: string
}

export const HOLDS_OF_MOVE: readonly HoldField[] = [
  { field: 'needs', of: 'ours', says: t('inspector.needs') },
  { field: 'adds', of: 'ours', says: t('inspector.putsOn') },
  { field: 'drops', of: 'ours', says: t('inspector.letsGoOf') },
  { field: 'keeps', of: 'ours', says: t('inspector.keepsIntoAnotherFrame') },
  { field: 'strips', of: 'theirs', says: t('inspector.takesOffThem') },
]

export const HOLDS_OF_REACTION: readonly HoldField[] = [
  { field: 'adds', of: 'theirs', says: t('inspector.theyPutOn') },
  { field: 'strips', of: 'ours', says: t('inspector.theyTakeOffUs') },
]
