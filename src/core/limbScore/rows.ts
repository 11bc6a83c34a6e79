import { entriesOf } from '../typed'
import { present } from '../sure'
import type { Hold } from '../chart/hold'
import { holder } from '../chart/hold'
import { limbNamed, type Limb, type Person } from '../chart/words'

/** A row of the score: an arm, a leg, the head or the trunk of one person. */
export interface Row {
  by: Person
  /** `left-arm`, `right-leg`, `head`, `trunk` and so on. */
  limb: 'left-arm' | 'right-arm' | 'left-leg' | 'right-leg' | 'head' | 'trunk'
  /** The parts of the limb that can hold, in the order of the lines of the opened row. */
  parts: Limb[]
}

const PARTS: Record<Row['limb'], Limb[]> = {
  'left-arm': ['left-hand', 'left-elbow', 'left-shoulder'],
  'right-arm': ['right-hand', 'right-elbow', 'right-shoulder'],
  'left-leg': ['left-foot', 'left-knee', 'left-hip'],
  'right-leg': ['right-foot', 'right-knee', 'right-hip'],
  head: ['head'],
  trunk: ['chest'],
}

const rowsOf = (by: Person): Row[] => entriesOf(PARTS).map(([limb, parts]) => ({ by, limb, parts }))

/** All rows: ours first, then theirs. */
export const ROWS: readonly Row[] = [...rowsOf('ours'), ...rowsOf('theirs')]

/** For each word that a hold may be on, the part of the limb to which it belongs: a wrist to the hand. */
const HELD_WITH: Record<string, string> = {
  hand: 'hand wrist forearm thumb fingers sleeve',
  elbow: 'elbow biceps triceps arm upper-arm',
  shoulder: 'shoulder',
  foot: 'foot ankle heel toes shin',
  knee: 'knee thigh leg calf',
  hip: 'hip groin',
  head: 'head neck chin face jaw nose throat collar',
  chest: 'chest back belly waist ribs trunk hips armpit belt spine',
}
const WITH = new Map(Object.entries(HELD_WITH).flatMap(([part, words]) => words.split(' ').map((word) => [word, part])))

/** The part to which the word belongs that a hold is on: `left-hand` for `left-wrist`; undefined for another word. */
export function partHeld(on: string | undefined): Limb | undefined {
  const [, side, word] = /^(?:(left|right)-)?(.+)$/.exec((on ?? '').trim().toLowerCase().replaceAll(' ', '-')) ?? []
  const part = WITH.get(word ?? '')
  const isInTheMiddle = part === 'head' || part === 'chest'
  return limbNamed(isInTheMiddle ? part : `${side ?? ''}-${part ?? ''}`)
}

/** True for a hold on the head or neck: an arm that has one counts as attacking. */
export const isAtTheNeck = ({ on }: Hold): boolean => partHeld(on) === 'head'

/** The row that shows this part of this person. */
export const rowOf = (by: Person, part: Limb): Row =>
  present(ROWS.find((row) => row.by === by && row.parts.includes(part)))

export const other = (by: Person): Person => (by === 'ours' ? 'theirs' : 'ours')

/** The rows of the limbs that take a hold, and the row of the limb that it is on, if any. */
export function rowsWith(hold: Hold): { holds: Row[]; held: Row | undefined } {
  const by = holder(hold)
  const part = partHeld(hold.on)
  return {
    holds: [...new Set(hold.limbs.map((limb) => rowOf(by, limb)))],
    held: part && rowOf(other(by), part),
  }
}
