import { knowing } from '.'
import words from './score.json' with { type: 'json' }

/** What the limb score says. */
export const t = knowing('score', words)
