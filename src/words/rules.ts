import { knowing } from '.'
import words from './rules.json' with { type: 'json' }

/** What the screens of Rules say. */
export const t = knowing('rules', words)
