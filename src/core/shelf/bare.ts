import { fieldsOf } from '../document/fields'
import { copyOf } from '../typed'
import { REASONS } from './reasons'
import type { ShelfMove } from './shelfRecords'

/** What only the Shelf says of a record. */
const SHELF_ONLY = [
  'check',
  'catalogue',
  'made',
  'takes',
  'leaves',
  'cue',
  'holdsFirst',
  'size',
  'ruleNote',
  'alsoFrom',
  'opens',
  'common',
  'begins',
  'open',
  'reason',
]

/** A record as a chart keeps it: when to go, for whom, and whether to check it, go into its notes. */
export function bare<R extends { notes?: string }>(record: R): R {
  const { cue, size, ruleNote, reason, check } = record as Partial<ShelfMove>
  const copy = copyOf(record)
  for (const field of SHELF_ONLY) delete fieldsOf(copy)[field]
  const said = [
    record.notes,
    cue && `When: ${cue}.`,
    size && `Build: ${size}.`,
    ruleNote && `Rules: ${ruleNote}.`,
    reason && `The tries: ${REASONS[reason].says}.`,
    check && 'Check with your coach.',
  ]
  const notes = said.filter(Boolean).join(' ')
  return notes ? { ...copy, notes } : copy
}
