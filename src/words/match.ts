import { knowing } from '.'
import words from './match.json' with { type: 'json' }

/** What is said of a match that is to be won. */
export const t = knowing('match', words)
