import { knowing, type WordKey } from '.'
import words from './finding.json' with { type: 'json' }

/** What the palette says of what it finds. */
export const t = knowing('finding', words)
export type FindingKey = WordKey | `finding.${keyof typeof words}`
