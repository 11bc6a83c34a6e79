/**
 * A fork as a coach would note it on one line:
 *
 *   Americana (finish): 3 land; 2 nothing; 4 turns in (turtle) > take the back 6 of 10; 1 bridges > ?
 *
 * A move and where it leads; of about ten tries, how many land, come to nothing or meet which reaction; where that
 * ends, and behind `>` our answers, best first, each with tries of its own where it has any. `?` is a loose end. How
 * many land may stand right behind the name ("Americana 4 of 10; ..."), and any count as a percentage. What is not said
 * comes to nothing, up to ten tries in all or as many as were said.
 */
export interface Fork {
  move: Name
  place?: Name
  /** It is tried only as an answer. */
  isReply?: boolean
  /** The cues that it waits for; absent: none. */
  when?: Name[]
  body: Body
}

/** The tries of a move or an answer. A reaction is given with its count, where it ends and our answers. */
export interface Body {
  lands: number
  stalls: number
  elsewhere: { count: number; place: Name }[]
  reactions: ForkReaction[]
}

export interface ForkReaction {
  count: number
  name: Name
  place?: Name
  /** Absent: the line leaves the charted answers as they are. Empty: there is no answer, a loose end. */
  answers?: ForkAnswer[]
}

export interface ForkAnswer {
  name: Name
  place?: Name
  /** Absent: the answer uses the tries of its move. */
  tries?: Body
}

/**
 * What is seen on coming to a position, as one line:
 *
 *   seen far hand: 4 at our neck, 3 to the hip, 3 between
 *
 * Of ten times, how often we see what; the cues are then called "Far hand at our neck" and so on. What is not said is
 * nothing in particular. A move that waits for a cue says so before its colon: "Americana when at our neck: 4 land".
 */
export interface SeenLine {
  subject?: Name
  cues: { count: number; name: Name }[]
  /** Absent where the line does not say it. */
  nothing?: number
}

/** A record that a line made. */
export interface Created {
  kind: 'position' | 'move' | 'reaction' | 'cue'
  name: string
}

/** A name in the line, at indices `at` (included) to `end` (excluded); `byId`: written as #id. */
export interface Name {
  text: string
  byId?: boolean
  at: number
  end: number
}

/** What is wrong with a line, at indices `at` (included) to `end` (excluded). */
export interface ForkError {
  at: number
  end: number
  message: string
}

export type ForkResult<T> = { ok: true; value: T } | { ok: false; errors: ForkError[] }

export const WORDS = {
  land: 'land',
  nothing: 'nothing',
  endsIn: 'ends in',
  caught: 'caught',
  over: 'over',
  finish: 'finish',
  reply: 'only in reply',
  when: 'when',
  seen: 'seen',
} as const
/** Characters that a name may contain only in quotes. */
export const SIGNS = ':;>,()[]?"#'

/** The name of a new record: with a capital first letter. */
export function asTitle(name: string): string {
  const clean = name.trim().replace(/\s+/g, ' ')
  return clean.charAt(0).toUpperCase() + clean.slice(1)
}

/** The form in which names are compared: lower case, single spaces. */
export function nameKey(name: string): string {
  return name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase()
}
