import { timedBlocks } from '../classPlan'
import type { Block, Session } from '../session'
import { MINUTE, SECOND, spentIn } from './clock'
import type { Live } from './liveRecords'

/** A way to be in time again, and how many minutes it wins. */
export type Offer =
  { does: 'shorter-rounds'; factor: number; minutes: number } | { does: 'leave-out'; block: string; minutes: number }

/** Rounds are not made shorter than this share of what was planned, nor than so many seconds. */
const [LEAST_SHARE, LEAST_WORK] = [0.6, 20]
/** From so many minutes on it is worth doing something. */
export const MATTERS = 1
/** Kept, however late it is. */
const KEPT: readonly Block['kind'][] = ['cool-down', 'warm-up']

/** How many minutes the class is behind its plan; below 0 it is ahead. Questions and pauses count: the hour goes on. */
export function minutesBehind(session: Session, live: Live, now: number): number {
  const at = timedBlocks(session).find(({ block }) => block.id === live.block)
  if (!at) return 0
  const inBlock = Math.min(spentIn(live, now), at.block.minutes * MINUTE)
  return (now - live.began - inBlock) / MINUTE - at.from
}

/** What would win time back, what wins enough first, and of that what costs least. Cool-down and review are kept. */
export function offersFor(session: Session, live: Live, behind: number): Offer[] {
  if (behind < MATTERS) return []
  const at = session.blocks.findIndex(({ id }) => id === live.block)
  const later = session.blocks.slice(at + 1).filter(({ kind }) => !KEPT.includes(kind))
  const shorter = shorterRounds(later, behind)
  const out = later.map(({ id, minutes }): Offer => ({ does: 'leave-out', block: id, minutes }))
  const short = ({ minutes }: Offer) => Math.max(0, behind - minutes)
  return [...(shorter ? [shorter] : []), ...out].sort((a, b) => short(a) - short(b) || a.minutes - b.minutes)
}

function shorterRounds(later: readonly Block[], behind: number): Offer | null {
  const worked = later.filter(({ work }) => work !== undefined)
  const minutes = worked.reduce((sum, one) => sum + one.minutes, 0)
  if (!minutes) return null
  const factor = Math.max(LEAST_SHARE, 1 - behind / minutes)
  const won = worked.reduce((sum, one) => sum + one.minutes - shortened(one, factor).minutes, 0)
  return won > 0 ? { does: 'shorter-rounds', factor, minutes: won } : null
}

/** A block with its rounds, and so itself, made shorter. Whole minutes and seconds. */
export function shortened(block: Block, factor: number): Block {
  const { work, minutes } = block
  if (work === undefined) return block
  const less = Math.max(Math.min(work, LEAST_WORK), Math.round((work * factor * SECOND) / SECOND))
  return { ...block, work: less, minutes: Math.max(1, Math.ceil((minutes * less) / work)) }
}
