import type { Block } from '../session'
import type { Live } from './liveRecords'

/* What the clock shows, by the wall clock: it is true after a sleep or a reload. All times in milliseconds. */

/** `open`: no rounds; it counts. `done`: all rounds are over. */
export type Phase = 'work' | 'rest' | 'open' | 'done'

export interface ClockFace {
  phase: Phase
  /** 1 for the first; waves count as rounds of their own. */
  round: number
  rounds: number
  /** To the end of the phase; negative where it is over its time. */
  left: number
  /** In the block. */
  spent: number
  /** It counts up, and ends by hand. */
  isUp: boolean
}

/** Something that everybody must hear and see. */
export interface Signal {
  at: number
  says: 'work' | 'rest' | 'warning' | 'done'
}

export const SECOND = 1000
export const MINUTE = 60 * SECOND
/** How long before the end of a stretch it is said. */
export const WARNING = 10 * SECOND
/** A stretch shorter than this ends without a warning. */
const WARNED_FROM = 20 * SECOND

/** Blocks that end when the coach has seen enough. */
const BY_HAND: readonly Block['kind'][] = ['watch', 'try', 'stop-and-mend']
/** Rounds of isolation have a clock on each mat. */
const ON_MATS: Block['kind'] = 'rounds-from'

/** How long the clock of the block has run. */
export const spentIn = ({ ran, since }: Pick<Live, 'ran' | 'since'>, now: number): number =>
  ran + (since === undefined ? 0 : Math.max(0, now - since))

/** The rounds of a block as its clock has them; null where it has none, or has them on each mat. */
function roundsOf({ kind, work, rest = 0, rounds = 1 }: Block, waves: number) {
  if (work === undefined || kind === ON_MATS) return null
  return { work: work * SECOND, both: (work + rest) * SECOND, rounds: rounds * waves }
}

/** What the clock of a block shows after `spent`. */
export function clockFace(block: Block, waves: number, spent: number): ClockFace {
  const some = roundsOf(block, waves)
  if (!some) {
    const isUp = BY_HAND.includes(block.kind)
    return { phase: 'open', round: 1, rounds: 1, left: block.minutes * MINUTE - spent, spent, isUp }
  }
  const { work, both, rounds } = some
  const at = { rounds, spent, isUp: false }
  if (spent >= rounds * both - (both - work)) return { ...at, phase: 'done', round: rounds, left: 0 }
  const round = Math.floor(spent / both) + 1
  const within = spent - (round - 1) * both
  return within < work
    ? { ...at, phase: 'work', round, left: work - within }
    : { ...at, phase: 'rest', round, left: both - within }
}

/** All signals of a block, in order, by how long it has run. */
function signalsOf(block: Block, waves: number): Signal[] {
  const some = roundsOf(block, waves)
  const whole = block.minutes * MINUTE
  if (!some) return BY_HAND.includes(block.kind) ? [] : [...warned(0, whole), { at: whole, says: 'done' }]
  const { work, both, rounds } = some
  return Array.from({ length: rounds }).flatMap((_, i): Signal[] => {
    const from = i * both
    const end = i === rounds - 1 ? 'done' : both > work ? 'rest' : null
    const ends: Signal[] = end ? [{ at: from + work, says: end }] : []
    return [{ at: from, says: 'work' }, ...warned(from, from + work), ...ends]
  })
}

const warned = (from: number, to: number): Signal[] =>
  to - from >= WARNED_FROM ? [{ at: to - WARNING, says: 'warning' }] : []

/** The signals that fall due after `from` up to and with `to`. The very first is due when the clock starts at 0. */
export const signalsBetween = (block: Block, waves: number, from: number, to: number): Signal[] =>
  signalsOf(block, waves).filter(({ at }) => at <= to && (at > from || (at === 0 && from === 0 && to > 0)))

/** A time as a clock shows it: whole seconds, rounded up while they count down. */
export function clockText(ms: number, isUp = false): string {
  const seconds = isUp ? Math.floor(ms / SECOND) : Math.ceil(ms / SECOND)
  const size = Math.abs(seconds)
  return `${seconds < 0 ? '+' : ''}${Math.floor(size / 60)}:${String(size % 60).padStart(2, '0')}`
}
