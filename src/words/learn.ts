import { knowing } from '.'
import words from './learn.json' with { type: 'json' }

/** What is said of people and of what was learned. */
export const t = knowing('learn', words)
export type LearnKey = `learn.${keyof typeof words}`
