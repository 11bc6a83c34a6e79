import { knowing } from '.'
import words from './finding.json' with { type: 'json' }

/** What the palette says of what it finds. */
export const t = knowing('finding', words)
