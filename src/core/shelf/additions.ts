import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { inChart } from './search'
import type { Shelf, ShelfMove } from './shelf'

/** Moves of the Shelf that a chart does not have yet, from a position that it has: done from there, or from there too. */
export function couldAdd(chart: Chart, shelf: Shelf, position: string): ShelfMove[] {
  const own = lookUp(chart.positions, position)
  const there = own && shelf.positions.filter((one) => inChart([own], one)).map(({ id }) => id as string)
  if (!there?.length) return []
  const isFromThere = ({ from, alsoFrom = [] }: ShelfMove) => [from, ...alsoFrom].some((id) => there.includes(id))
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
