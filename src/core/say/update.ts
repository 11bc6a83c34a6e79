import { cautionLines } from '../chart/hazard'
import type { Move } from '../chart/move'
import { plain } from './script'

/** What is said of a move in one of the fields that an update may change, line by line; none where nothing is. */
export function sayField(move: Move, field: 'aliases' | 'checkpoints' | 'tags' | 'hazard' | 'notes'): string[] {
  if (field === 'hazard') return move.hazard ? cautionLines([move]) : []
  if (field === 'notes') return move.notes ? [move.notes] : []
  if (field !== 'checkpoints') return move[field]?.length ? [move[field].join(', ')] : []
  return (move.checkpoints ?? []).map(({ text, test, fault }) =>
    [plain(text), test && plain(test), fault && `${fault.mistake}: ${fault.fix}`].filter(Boolean).join('. '),
  )
}

const NAMES = {
  aliases: 'Other names',
  checkpoints: 'Checkpoints',
  tags: 'Tags',
  hazard: 'Caution',
  notes: 'Notes',
} as const

export const fieldName = (field: keyof typeof NAMES): string => NAMES[field]
