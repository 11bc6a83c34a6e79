import type { Chart } from '../chart/chart'
import { holder, type Hold } from '../chart/hold'
import { lookUp } from '../chart/lookUp'
import type { Position } from '../chart/position'
import { inChart } from './search'
import type { Shelf } from './shelf'
import type { ShelfMove } from './shelfRecords'

/**
 * Moves of the Shelf that a chart does not have yet, from a position that it has: done from there, or from there too.
 */
export function couldAdd(chart: Chart, shelf: Shelf, position: string): ShelfMove[] {
  const own = lookUp(chart.positions, position)
  if (!own) return []
  const there = new Set<string>(shelf.positions.filter((one) => inChart([own], one)).map(({ id }) => id))
  const isFromThere = ({ from, alsoFrom = [] }: ShelfMove) => [from, ...alsoFrom].some((id) => there.has(id))
  return shelf.moves.filter((move) => isFromThere(move) && isNew(chart, move))
}

/** Answers of the Shelf to a reaction that a chart does not give yet. */
export function couldAnswer(chart: Chart, shelf: Shelf, reaction: string): ShelfMove[] {
  const own = lookUp(chart.reactions, reaction)
  const same = own && inChart(shelf.reactions, own)
  if (!same) return []
  const given = new Set<string>(chart.answers.filter((one) => one.reaction === reaction).map(({ move }) => move))
  const moves = shelf.answers.filter((one) => one.reaction === same.id && !given.has(one.move)).map(({ move }) => move)
  return moves.flatMap((id) => lookUp(shelf.moves, id) ?? [])
}

const isNew = (chart: Chart, { id, name }: ShelfMove) =>
  !chart.moves.some((own) => own.id === id || own.name.trim().toLowerCase() === name.trim().toLowerCase())

/** Our holds that the Shelf knows for a position's frame and the chart does not have. */
export function holdsOnShelf(chart: Chart, shelf: Shelf, { frame, ahead }: Position): Hold[] {
  const there = shelf.positions.filter((one) => frame && one.frame === frame && one.ahead === ahead)
  const ids = new Set(there.flatMap(({ holds }) => holds ?? []))
  return shelf.holds.filter((hold) => ids.has(hold.id) && holder(hold) === 'ours' && !inChart(chart.holds ?? [], hold))
}
