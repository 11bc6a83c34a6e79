import { knowing } from '.'
import words from './keys.json' with { type: 'json' }

/** What the list of shortcuts says. */
export const t = knowing('keys', words)
