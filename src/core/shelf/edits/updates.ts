import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import { bare } from '../bare'
import type { Shelf, ShelfMove } from '../shelf'

/** What a later build may say differently of a move; what the coach plans with it is left alone. */
const SAID = ['aliases', 'checkpoints', 'tags', 'hazard', 'notes'] as const

const saidOf = (move: ShelfMove): Partial<Move> => {
  const record = bare(move)
  return Object.fromEntries(SAID.flatMap((field) => (record[field] === undefined ? [] : [[field, record[field]]])))
}

/** A short mark of what the Shelf says of a move: another where that has changed (FNV-1a, 32 bit). */
export function markOf(move: ShelfMove): string {
  let hash = 0x811c9dc5
  for (const character of JSON.stringify(saidOf(move))) {
    hash = Math.imul(hash ^ character.charCodeAt(0), 0x01000193) >>> 0
  }
  return hash.toString(36)
}

/** Moves of a chart that came from the Shelf and of which the Shelf now says something else. */
export function changedOnShelf(chart: Chart, shelf: Shelf): ShelfMove[] {
  return Object.entries(chart.settings?.fromShelf ?? {}).flatMap(([id, mark]) => {
    const move = lookUp(shelf.moves, id)
    return move && lookUp(chart.moves, id) && markOf(move) !== mark ? [move] : []
  })
}

/** Takes what the Shelf now says of a move into a chart (a draft): never its name, tries, holds or places. */
export function takeUpdate(chart: Chart, move: ShelfMove): void {
  const own = lookUp(chart.moves, move.id)
  if (own) Object.assign(own, JSON.parse(JSON.stringify(saidOf(move))))
  leaveUpdate(chart, move)
}

/** The chart stays as it is, and is not asked again until the Shelf changes once more. */
export function leaveUpdate(chart: Chart, move: ShelfMove): void {
  chart.settings = { ...chart.settings, fromShelf: { ...chart.settings?.fromShelf, [move.id]: markOf(move) } }
}
