import { knowing } from '.'
import words from './files.json' with { type: 'json' }

/** What is said where files come in and go out. */
export const t = knowing('files', words)
