import { knowing } from '.'
import words from './train.json' with { type: 'json' }

/** What the screens of Train say. */
export const t = knowing('train', words)
export type TrainKey = `train.${keyof typeof words}`
