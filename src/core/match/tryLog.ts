import type { MoveId, ReactionId } from '../chart/ids'

/** In what something was tried. */
export const TRIED_IN = ['drill', 'round', 'spar', 'match'] as const
export type TriedIn = (typeof TRIED_IN)[number]

/** How much the partner resists: scripted is who lets it happen. */
export const RESISTANCES = ['scripted', 'some', 'full'] as const
export type Resistance = (typeof RESISTANCES)[number]

/** What came of a try; `failed`: that it did not land is all that is known. */
export type TryOutcome = 'lands' | 'stalls' | 'failed' | { reaction: string } | { elsewhere: string }

/** One try, as it was logged. */
export interface LoggedTry {
  /** The day, as 2026-11-28. */
  when: string
  in: TriedIn
  /** Absent: a drill is scripted, all else is full. */
  resistance?: Resistance
  /** Who tried it, and against whom: ids of people, where they are known. */
  us?: string
  them?: string
  session?: string
  move: MoveId
  /** The reaction that it answers; absent where it was tried cold. */
  reply?: ReactionId
  outcome: TryOutcome
  /** Only its last bit was seen, in passing or as remembered: what one notices are finishes. */
  isPartial?: boolean
  /** With or without gi, where it is said. */
  gi?: boolean
}

/** After so many days a try counts half. */
export const HALF_LIFE = 180
/** Tries of one move by one pair in one session count at most so many together. */
export const MOST_A_SESSION = 3

const BY_RESISTANCE: Record<Resistance, number> = { scripted: 0, some: 0.5, full: 1 }
const DAY = 24 * 60 * 60 * 1000

/** How tries are weighed: today, and in how many days one counts half; with or without gi, where that is asked. */
export interface Weighing {
  /** The day, as 2026-11-28. */
  now: string
  halfLife?: number
  gi?: boolean
}

/** Tries that were logged, with how they are weighed. */
export interface TryLog extends Weighing {
  tries: readonly LoggedTry[]
}
export const NOTHING_LOGGED: TryLog = { tries: [], now: '2026-01-01' }

/** How many days ago it was; never negative. */
const ageOf = (when: string, now: string) =>
  Math.max(0, Math.round((Date.parse(now.slice(0, 10)) - Date.parse(when.slice(0, 10))) / DAY))

/** How much the partner resisted: in a drill of which nothing is said they let it happen. */
export const resistanceOf = ({ resistance, in: triedIn }: Pick<LoggedTry, 'resistance' | 'in'>): Resistance =>
  resistance ?? (triedIn === 'drill' ? 'scripted' : 'full')

/** Whether a try says how often something lands: it was watched whole, and nobody let it happen. */
export const isLive = (tried: Pick<LoggedTry, 'isPartial' | 'resistance' | 'in'>): boolean =>
  !tried.isPartial && resistanceOf(tried) !== 'scripted'

/** What a try counts for by itself, 0 to 1. */
function weightOf(tried: LoggedTry, { now, halfLife = HALF_LIFE, gi }: Weighing): number {
  if (tried.isPartial || (gi !== undefined && tried.gi !== undefined && tried.gi !== gi)) return 0
  return BY_RESISTANCE[resistanceOf(tried)] * 2 ** (-ageOf(tried.when, now) / halfLife)
}

/** What each try counts for, in the order of the log: 5.6 of the model. */
export function weightsOf({ tries: log, ...weighing }: TryLog): number[] {
  const weights = log.map((tried) => weightOf(tried, weighing))
  const together = new Map<string, number>()
  const key = ({ session, us, them, move }: LoggedTry) =>
    session === undefined ? null : JSON.stringify([session, us, them, move])
  log.forEach((tried, i) => {
    const pair = key(tried)
    if (pair !== null) together.set(pair, (together.get(pair) ?? 0) + (weights[i] ?? 0))
  })
  return log.map((tried, i) => {
    const pair = key(tried)
    const all = pair === null ? 0 : (together.get(pair) ?? 0)
    return (weights[i] ?? 0) * (all > MOST_A_SESSION ? MOST_A_SESSION / all : 1)
  })
}
