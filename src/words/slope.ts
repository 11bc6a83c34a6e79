import { knowing } from '.'
import words from './slope.json' with { type: 'json' }

/** What the screens of the Slope say. */
export const t = knowing('slope', words)
