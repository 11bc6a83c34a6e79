import { knowing } from '.'
import words from './settings.json' with { type: 'json' }

/** What the settings say. */
export const t = knowing('settings', words)
