/**
 * A fork as a coach would note it on one line:
 *
 *   Americana (finish): 3 land; 2 nothing; 4 turns in (turtle) > take the back 6 of 10; 1 bridges > ?
 *
 * A move and where it leads; of about ten tries, how many land, come to nothing or meet which reaction; where that
 * ends, and behind `>` our answers, best first, each with tries of its own where it has any. `?` is a loose end.
 */
export interface Fork {
  move: Name
  place?: Name
  body: Body
}

/** How tries go. A count of a reaction comes with where it ends and what we answer. */
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
  /** Absent: nothing is said of the answers; empty: a loose end. */
  answers?: ForkAnswer[]
}

export interface ForkAnswer {
  name: Name
  place?: Name
  /** Absent: it goes as the move goes. */
  tries?: Body
}

/** A name in the text: characters `at` up to `end`; `byId` where it was written as #id. */
export interface Name {
  text: string
  byId?: boolean
  at: number
  end: number
}

/** What is wrong with a line, and where: characters `at` up to `end`. */
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
  finish: 'finish',
} as const
/** Signs that a bare name may not have. */
export const SIGNS = ':;>,()[]?"#'

/** Names are the same whatever their case and spacing. */
export function nameKey(name: string): string {
  return name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase()
}
