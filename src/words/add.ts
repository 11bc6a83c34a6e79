import { knowing } from '.'
import words from './add.json' with { type: 'json' }

/** What is said where something is added to a plan. */
export const t = knowing('add', words)
