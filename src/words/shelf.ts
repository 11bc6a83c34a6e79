import { knowing } from '.'
import words from './shelf.json' with { type: 'json' }

/** What the Shelf says, and what is said of it elsewhere. */
export const t = knowing('shelf', words)
