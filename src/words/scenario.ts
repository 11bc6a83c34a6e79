import { knowing } from '.'
import words from './scenario.json' with { type: 'json' }

/** What is said where the scenario is set. */
export const t = knowing('scenario', words)
