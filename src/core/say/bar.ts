import { sure } from '../sure'
import { holder, type Hold } from '../chart/hold'
import type { Limb, Person } from '../chart/words'
import { limbsWords } from '../holds/limbWords'
import { sideWords } from '../sides/frames'
import type { Sides } from '../sides/tokens'
import { spoken, type Vocabulary } from '../sides/vocabulary'
import type { Bar } from '../limbScore/bars'
import { isAtTheNeck, other, partHeld, rowOf, type Row } from '../limbScore/rows'

/** The words of a limb score. Limbs are named by the orientation of the step in question. */

const WHOSE: Record<Person, string> = { ours: 'our', theirs: 'their' }

/** "right arm"; for a part "right elbow"; the trunk is chest and back. */
export const rowName = ({ by, limb }: Row, part?: Limb): string =>
  part
    ? part.replace('-', ' ')
    : `${by === 'ours' ? 'Our' : 'Their'} ${limb === 'trunk' ? 'body' : limb.replace('-', ' ')}`

/** All words for a row's limb in this orientation, as "over, top"; empty where there is none. */
export const rowWords = ({ by, parts }: Row, { frame, orientation }: Sides, vocabulary: Vocabulary): string =>
  sideWords(frame, orientation, by, sure(parts[0]))
    .map((word) => spoken(word, vocabulary))
    .join(', ')

/**
 * A part of a person in words, as "their bottom wrist" or "their neck". `on`: as a hold names it, such as `left-wrist`.
 */
export function partWords(by: Person, on: string, { frame, orientation }: Sides, vocabulary: Vocabulary): string {
  const [, side, part] = /^(left|right)-(.+)$/.exec(on) ?? []
  if (!side || !part) return `${WHOSE[by]} ${on.replaceAll('-', ' ')}`
  const limb = partHeld(on) ?? (side === 'left' ? 'left-hand' : 'right-hand')
  const [word] = sideWords(frame, orientation, by, limb)
  return `${WHOSE[by]} ${word ? spoken(word, vocabulary) : side} ${part.replaceAll('-', ' ')}`
}

/** The text of a bar: what the limb holds; or what holds or traps it, and where. */
export function barWords({ hold, role }: Bar, sides: Sides, vocabulary: Vocabulary): string {
  const by = holder(hold)
  if (role === 'holds') return hold.on ? partWords(other(by), hold.on, sides, vocabulary) : hold.name
  const part = hold.on?.replace(/^(left|right)-/, '').replaceAll('-', ' ')
  return `${part}, by ${limbsInWords(hold, sides, vocabulary)}`
}

/** "our under hand", "both our feet": the limbs that hold, as they are called then. */
function limbsInWords(hold: Hold, { frame, orientation }: Sides, vocabulary: Vocabulary): string {
  const by = holder(hold)
  const limb = sure(hold.limbs[0])
  const row = rowOf(by, limb)
  // A hand and its elbow are one arm.
  if (hold.limbs.length > 1 && hold.limbs.every((other) => row.parts.includes(other))) {
    const [side = '', part = ''] = row.limb.split('-')
    return `${WHOSE[by]} ${spoken(sideWords(frame, orientation, by, limb)[0] ?? side, vocabulary)} ${part}`
  }
  if (hold.limbs.length > 1) return limbsWords(hold.limbs, WHOSE[by])
  const [word] = sideWords(frame, orientation, by, limb)
  return `${WHOSE[by]} ${word ? `${spoken(word, vocabulary)} ${limb.replace(/^(left|right)-/, '')}` : limb.replace('-', ' ')}`
}

/** Whether a hold works on an arm or the head, or only keeps its place. */
export const isAtWork = (hold: Hold): boolean => isAtTheNeck(hold) || /-(hand|elbow)$/.test(partHeld(hold.on) ?? '')
