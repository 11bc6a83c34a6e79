import { present } from '../get'
import type { Hold } from '../chart/hold'
import { holder } from '../chart/hold'
import type { Limb, Person } from '../chart/words'

/** A line of the score: an arm, a leg, the head or the trunk of one person. */
export interface Row {
  by: Person
  /** `left-arm`, `right-leg`, `head`, `trunk` and so on. */
  limb: 'left-arm' | 'right-arm' | 'left-leg' | 'right-leg' | 'head' | 'trunk'
  /** The parts that hold with it, in the order in which it opens. */
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

const rowsOf = (by: Person): Row[] =>
  Object.entries(PARTS).map(([limb, parts]) => ({ by, limb: limb as Row['limb'], parts }))

/** Ours first, then theirs. */
export const ROWS: readonly Row[] = [...rowsOf('ours'), ...rowsOf('theirs')]

/** The parts of a body that a hold may be on, by the part of the limb that is held with it. */
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

/**
 * The part of a body that is held by what a hold is on: `left-hand` for `left-wrist`; undefined for a word not known.
 */
export function partHeld(on: string | undefined): Limb | undefined {
  const [, side, word] = /^(?:(left|right)-)?(.+)$/.exec((on ?? '').trim().toLowerCase().replaceAll(' ', '-')) ?? []
  const part = WITH.get(word ?? '')
  if (!part || part === 'head' || part === 'chest') return part as Limb | undefined
  return side ? (`${side}-${part}` as Limb) : undefined
}

/** The attack goes on the neck and the head: an arm that is there threatens, whatever else it does. */
export const isAtTheNeck = ({ on }: Hold): boolean => partHeld(on) === 'head'

/** The row of one of a person's parts. */
export const rowOf = (by: Person, part: Limb): Row =>
  present(ROWS.find((row) => row.by === by && row.parts.includes(part)))

export const other = (by: Person): Person => (by === 'ours' ? 'theirs' : 'ours')

/** The rows that a hold works with, and the one that it works on, if any. */
export function rowsWith(hold: Hold): { holds: Row[]; held: Row | undefined } {
  const by = holder(hold)
  const part = partHeld(hold.on)
  return {
    holds: [...new Set(hold.limbs.map((limb) => rowOf(by, limb)))],
    held: part && rowOf(other(by), part),
  }
}
