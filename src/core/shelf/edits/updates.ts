import { copyOf } from '../../typed'
import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import { bare } from '../bare'
import type { Shelf } from '../shelf'
import type { ShelfMove } from '../shelfRecords'

/** The fields of a move that an update from the Shelf may change; the coach's own plan is not among them. */
const SAID = ['aliases', 'checkpoints', 'tags', 'hazard', 'notes'] as const

const saidOf = (move: ShelfMove): Partial<Move> => {
  const record = bare(move)
  return Object.fromEntries(SAID.flatMap((field) => (record[field] === undefined ? [] : [[field, record[field]]])))
}

/** A hash of what the Shelf says of a move, to tell whether it has changed (FNV-1a, 32 bit). */
export function markOf(move: ShelfMove): string {
  let hash = 0x811c9dc5
  for (const character of JSON.stringify(saidOf(move))) {
    hash = Math.imul(hash ^ character.charCodeAt(0), 0x01000193) >>> 0
  }
  return hash.toString(36)
}

/** The moves of a chart that came from the Shelf and have changed there since. */
export function changedOnShelf(chart: Chart, shelf: Shelf): ShelfMove[] {
  return Object.entries(chart.settings?.fromShelf ?? {}).flatMap(([id, mark]) => {
    const move = lookUp(shelf.moves, id)
    return move && lookUp(chart.moves, id) && markOf(move) !== mark ? [move] : []
  })
}

/** What differs between a move of a chart and what the Shelf says of it now, field by field. */
export function differencesOf(
  chart: Chart,
  move: ShelfMove,
): { field: (typeof SAID)[number]; had: Move; says: Move }[] {
  const own = lookUp(chart.moves, move.id)
  if (!own) return []
  const says = { ...own, ...saidOf(move) }
  return SAID.filter((field) => JSON.stringify(own[field]) !== JSON.stringify(says[field])).map((field) => ({
    ...{ field, had: own, says },
  }))
}

/** Updates a move of a chart (a draft) from the Shelf; never its name, tries, holds or places. */
export function takeUpdate(chart: Chart, move: ShelfMove): void {
  const own = lookUp(chart.moves, move.id)
  if (own) Object.assign(own, copyOf(saidOf(move)))
  leaveUpdate(chart, move)
}

/** Declines an update: the move stays as it is, and is not offered again until the Shelf changes once more. */
export function leaveUpdate(chart: Chart, move: ShelfMove): void {
  chart.settings = { ...chart.settings, fromShelf: { ...chart.settings?.fromShelf, [move.id]: markOf(move) } }
}
