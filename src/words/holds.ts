import { knowing } from '.'
import words from './holds.json' with { type: 'json' }

/** What the screens of Holds say. */
export const t = knowing('holds', words)
