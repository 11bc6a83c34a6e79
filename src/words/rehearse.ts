import { knowing } from '.'
import words from './rehearse.json' with { type: 'json' }

/** What is said where answers are rehearsed. */
export const t = knowing('rehearse', words)
