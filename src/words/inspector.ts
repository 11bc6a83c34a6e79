import { knowing } from '.'
import words from './inspector.json' with { type: 'json' }

/** What is said of a record in detail. */
export const t = knowing('inspector', words)
