import type { MoveId } from '../chart/ids'
import { grouped } from './grouped'
import { wilson } from '../insight/tallied'
import { isLive, type LoggedTry } from '../match/tryLog'

/** Live tries of a stretch of time: how many, how many landed, and what the true share lies within, eight of ten. */
export interface LandingIn {
  lands: number
  of: number
  low: number
  high: number
}

/** How often a move landed, month by month; months are as 2026-11. */
export interface LandingByMonth {
  months: string[]
  /** By month, in their order; null where it was not tried. */
  landing: (LandingIn | null)[]
}

const monthOf = ({ when }: LoggedTry) => when.slice(0, 7)

/** The months in which anything was tried live, without gaps between the first and the last. */
function monthsOf(tries: readonly LoggedTry[]): string[] {
  const [first, last] = [tries.map(monthOf).toSorted()[0], tries.map(monthOf).toSorted().at(-1)]
  const months: string[] = []
  for (let month = first; month !== undefined && last !== undefined && month <= last; month = nextMonth(month))
    months.push(month)
  return months
}

function nextMonth(month: string): string {
  const [year = 0, number = 0] = month.split('-').map(Number)
  return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`
}

/** How often moves land by month, of tries that were watched whole and resisted. Null: all moves together. */
export function landingByMonth(log: readonly LoggedTry[], move: MoveId | null): LandingByMonth {
  const live = log.filter(isLive)
  const own = grouped(
    live.filter((one) => move === null || one.move === move),
    monthOf,
  )
  const months = monthsOf(live)
  return { months, landing: months.map((month) => landingIn(own.get(month) ?? [])) }
}

/** What came of live tries. */
export function landingIn(tries: readonly LoggedTry[]): LandingIn | null {
  if (!tries.length) return null
  const lands = tries.filter(({ outcome }) => outcome === 'lands').length
  return { lands, of: tries.length, ...wilson(lands, tries.length) }
}

/** The moves by how often they were tried live, the most often first. */
export function triedMost(log: readonly LoggedTry[]): MoveId[] {
  const tried = grouped(log.filter(isLive), ({ move }) => move)
  return [...tried].sort(([, a], [, b]) => b.length - a.length).map(([move]) => move)
}
