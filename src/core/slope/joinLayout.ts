import { sure, present } from '../sure'
import type { SlopeEdge } from './graph'
import type { LayoutTask, Place, SlopeLayout } from './places'
import { spread } from './spread'

/** Least gap in pixels between two places of a row. */
const LEAST_GAP = 16

interface Row {
  band: string
  row: number
  ids: string[]
}

/**
 * Updates a layout to a changed chart: removes the places that are gone and puts each new place into free room, as near
 * as possible to the places it is connected to. All others keep their order and place; they move sideways only where a
 * name has become wider or a place was put on top of them by hand.
 */
export function joinLayout(task: LayoutTask, layout: SlopeLayout): SlopeLayout {
  const widths = new Map(task.bands.flatMap(({ places }) => places.map(({ id, width }) => [id, width] as const)))
  const places: Record<string, Place> = {}
  for (const { key, places: own } of task.bands) {
    for (const { id } of own) {
      const hand = task.byHand?.[id]
      if (hand) places[id] = { band: key, ...hand }
      else if (layout.places[id]?.band === key) places[id] = layout.places[id]
    }
  }
  for (const { key, gap, places: own } of task.bands) {
    for (const { id, width } of own) {
      if (!places[id])
        places[id] = findRoom({ key, gap, width, wish: wishOf(id, task.edges, places) }, places, widths, layout)
    }
  }
  const rows = rowsOf(places)
  for (const row of rows) giveWay(row, places, task, widths, layout.width)
  closeRows(rows, places)
  const right = Object.entries(places).map(([id, { x }]) => x + present(widths.get(id)) / 2)
  return { width: Math.max(layout.width, ...right), places }
}

/** Weighted mean centre of the places it is connected to that are placed already; undefined where there are none. */
function wishOf(id: string, edges: SlopeEdge[], places: Record<string, Place>): number | undefined {
  let sum = 0
  let weights = 0
  for (const { from, to, weight } of edges) {
    const other = from === id ? places[to] : to === id ? places[from] : undefined
    if (!other) continue
    sum += other.x * weight
    weights += weight
  }
  return weights ? sum / weights : undefined
}

/** The nearest free stretch of the band's rows, or a new row where there is none. */
function findRoom(
  { key, gap, width, wish }: { key: string; gap: number; width: number; wish: number | undefined },
  places: Record<string, Place>,
  widths: ReadonlyMap<string, number>,
  layout: SlopeLayout,
): Place {
  const rows = rowsOf(places).filter(({ band }) => band === key)
  const half = width / 2
  const aim = wish ?? layout.width / 2
  let best: Place | undefined
  for (const { row, ids } of rows) {
    const taken = ids.map((id) => {
      const reach = (widths.get(id) ?? 0) / 2 + gap
      return { left: sure(places[id]).x - reach, right: sure(places[id]).x + reach }
    })
    const starts = [0, ...taken.map(({ right }) => right)]
    const ends = [...taken.map(({ left }) => left), Math.max(layout.width, aim + half)]
    starts.forEach((start, i) => {
      if (sure(ends[i]) - start < width) return
      const x = Math.min(Math.max(aim, start + half), sure(ends[i]) - half)
      if (!best || Math.abs(x - aim) < Math.abs(best.x - aim)) best = { band: key, row, x }
    })
  }
  return best ?? { band: key, row: Math.max(-1, ...rows.map(({ row }) => row)) + 1, x: Math.max(half, aim) }
}

function rowsOf(places: Record<string, Place>): Row[] {
  const rows = new Map<string, Row>()
  for (const [id, { band, row }] of Object.entries(places)) {
    const key = `${row} ${band}`
    if (!rows.has(key)) rows.set(key, { band, row, ids: [] })
    present(rows.get(key)).ids.push(id)
  }
  for (const { ids } of rows.values()) ids.sort((a, b) => sure(places[a]).x - sure(places[b]).x)
  return [...rows.values()]
}

function giveWay(
  { ids }: Row,
  places: Record<string, Place>,
  { byHand }: LayoutTask,
  widths: ReadonlyMap<string, number>,
  width: number,
): void {
  const wanted = ids.map((id) => ({
    wish: sure(places[id]).x,
    width: present(widths.get(id)),
    still: Boolean(byHand?.[id]),
  }))
  const right = wanted.reduce((most, place) => Math.max(most, place.wish + place.width / 2), width)
  const centres = spread(wanted, LEAST_GAP, right)
  ids.forEach((id, i) => (places[id] = { ...sure(places[id]), x: Math.round(sure(centres[i]) * 10) / 10 }))
}

/** Removes empty rows, so that a band is no taller than it needs to be. */
function closeRows(rows: Row[], places: Record<string, Place>): void {
  for (const { band, row, ids } of rows) {
    const above = rows.filter((other) => other.band === band && other.row < row).length
    for (const id of ids) places[id] = { ...sure(places[id]), row: above }
  }
}
