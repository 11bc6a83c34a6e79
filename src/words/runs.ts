import { knowing } from '.'
import words from './runs.json' with { type: 'json' }

/** What the screens of Runs say. */
export const t = knowing('runs', words)
