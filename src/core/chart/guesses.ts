import type { Settings } from './chart'
import { aheadFromName, familyFromName } from './fromName'
import type { Move } from './move'
import type { Position } from './position'
import type { Tries } from './tries'
import type { Guessed, Kind } from './words'

/*
 * What stands in a new record where the coach has not said it. It is marked in the record's `guessed`, or in tries by
 * their small weight, until the coach sets it.
 */

interface Guessing {
  guessed?: Guessed[] | undefined
}

/** Whether nobody has set the field yet. */
export const isGuess = ({ guessed }: Guessing, field: Guessed): boolean => guessed?.includes(field) ?? false

/** Marks the fields that are guesses, or takes the mark off. */
export function markGuess(record: Guessing, field: Guessed, isGuessed: boolean): void {
  const others = (record.guessed ?? []).filter((one) => one !== field)
  const guessed = isGuessed ? [...others, field] : others
  if (guessed.length) record.guessed = guessed
  else delete record.guessed
}

/** How a new answer goes: a guess, which counts for one real try. */
export const NEW_ANSWER: Tries = { lands: 5, stalls: 5, weight: 1 }

/** How a move goes cold that nobody has tried cold yet: a guess, which counts for one real try. */
export const COLD_GUESS: Tries = { lands: 3, stalls: 7, weight: 1 }

/** Seconds that a try takes, by the kind of move. */
const SECONDS: Record<Kind, number> = {
  takedown: 6,
  entry: 4,
  grip: 3,
  hold: 5,
  pass: 8,
  advance: 6,
  ride: 5,
  submission: 10,
  escape: 6,
  reset: 5,
}

/** The fields of a new move, with its seconds by its kind. */
export const newMove = (fields: Omit<Move, 'id'>): Omit<Move, 'id'> =>
  fields.seconds === undefined ? { ...fields, seconds: SECONDS[fields.kind], guessed: ['seconds'] } : fields

/** Another kind of move; seconds that nobody has set follow. */
export function setKindOf(move: Move, kind: Kind): void {
  move.kind = kind
  if (isGuess(move, 'seconds')) move.seconds = SECONDS[kind]
}

/** After how many seconds a good partner is out of a position of ours, by its family. */
const OUT_AFTER: Partial<Record<string, number>> = {
  'knee-ride': 10,
  headlock: 12,
  turtle: 12,
  ride: 15,
  side: 25,
  mount: 25,
  'north-south': 25,
  back: 30,
  crucifix: 30,
}
const OUT_OF_ANY = 15
/** A tie on the feet is nobody's, and lasts no longer for that. */
const OUT_OF_A_TIE = 8

/** Mean seconds until a good partner is out; undefined where the position is not ours to lose. */
function outAfter({ family, ahead }: Pick<Position, 'family' | 'ahead'>): number | undefined {
  if (ahead === 'theirs') return undefined
  if (family === 'clinch') return OUT_OF_A_TIE
  return ahead === 'ours' ? (OUT_AFTER[family] ?? OUT_OF_ANY) : undefined
}

/**
 * The fields of a position of which only the name is known. `family`: where that is known, too. Who is ahead is a guess
 * from the name; where that does not tell, nobody is.
 */
export function positionFromName(name: string, family = familyFromName(name) ?? 'standing'): Omit<Position, 'id'> {
  const position: Omit<Position, 'id'> = { name, family, ahead: aheadFromName(name) ?? 'even', guessed: ['ahead'] }
  guessOut(position)
  return position
}

/** Whether the coach has to say who is ahead, since the position's name does not tell. */
export const asksAhead = (position: Pick<Position, 'name' | 'guessed'>): boolean =>
  isGuess(position, 'ahead') && aheadFromName(position.name) === undefined

/** Puts in after how long a good partner is out, or takes that away; what the coach has set stays as it is. */
export function guessOut(position: Omit<Position, 'id'>): void {
  if (position.out && !isGuess(position, 'out')) return
  const every = outAfter(position)
  if (every === undefined) delete position.out
  else position.out = { every }
  markGuess(position, 'out', every !== undefined)
}

/** The settings of a new chart: they see some of it coming, a failed try costs something, and little is interrupted. */
export const NEW_SETTINGS: Settings = { breakUp: 120, slips: 0.15, scenario: { sharpness: 0.2 } }
