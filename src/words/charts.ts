import { knowing } from '.'
import words from './charts.json' with { type: 'json' }

/** What is said where charts are kept. */
export const t = knowing('charts', words)
