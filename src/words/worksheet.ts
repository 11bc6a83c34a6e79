import { knowing } from '.'
import words from './worksheet.json' with { type: 'json' }

/** What the Worksheet says. */
export const t = knowing('worksheet', words)
