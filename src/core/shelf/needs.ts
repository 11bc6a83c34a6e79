import { keysOf } from '../typed'
import type { ShelfMove } from './shelfRecords'

/** One thing that a move needs before it is tried, in words to filter by. */
export const NEEDS = {
  nothing: 'nothing yet',
  underhook: 'an underhook',
  'figure four': 'a kimura grip',
  seatbelt: 'a seatbelt',
  hook: 'hooks or legs',
  wrist: 'a wrist',
  head: 'the head or neck',
  hip: 'the hip',
  chest: 'the chest on them',
  arm: 'an arm caught',
  cloth: 'the gi',
} as const
export type Need = keyof typeof NEEDS

const SAYS: Record<Exclude<Need, 'nothing'>, RegExp> = {
  underhook: /underhook/,
  'figure four': /figure four|kimura grip/,
  seatbelt: /seatbelt|upper hold/,
  hook: /\bhooks?\b|\blegs?\b|knee|feet|foot|ankle/,
  wrist: /wrist/,
  head: /head|neck|chin|choking/,
  hip: /\bhips?\b/,
  chest: /chest|weight|shoulder/,
  arm: /\barms?\b|elbow|joined|one hand|hands trapped/,
  cloth: /collar|cuff|lapel|sleeve/,
}

/** Everything that a move needs; empty where it needs neither a hold nor the cloth. */
export function needsOf({ holdsFirst = '', tags = [], ruleNote = '' }: ShelfMove): Need[] {
  const said = holdsFirst.toLowerCase()
  const isCloth = tags.includes('lapel-grip') || /^gi\b/.test(ruleNote)
  const found = keysOf(SAYS).filter((need) => SAYS[need].test(said) || (need === 'cloth' && isCloth))
  return found.length ? found : ['nothing']
}
