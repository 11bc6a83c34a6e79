import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { isEndId, type EndId } from '../chart/ids'
import { CREST, finishPlace, type SlopeGraph } from './graph'
import type { LayoutTask, SlopeLayout } from './places'

/** Width of a text in pixels, in the face that places are named in. */
export type Measure = (text: string) => number

/**
 * Pixels: where lines leave a ledge beside its name; a ledge with its name; the bar itself; the column of band names.
 */
export const PORCH = 18
export const LEDGE_HEIGHT = 25
export const BAR = 7
export const MARGIN = 104
/**
 * Free space under a row, for lines and what hangs on them; under a row of the crest; above the first row of a band.
 */
const LANE = 35
const CREST_LANE = 11
const BAND_TOP = 6
const VALUE_ROOM = 34

/** A place to stand on. Boxes are in pixels of the picture; `fill` is the part of the bar that says the value. */
export interface Ledge {
  id: string
  kind: 'position' | 'finish' | EndId
  name: string
  band: string
  /** Rows of the whole picture, from the crest down. */
  row: number
  x: number
  y: number
  width: number
  height: number
  isTheirs: boolean
  value: number | null
}

export interface BandBox {
  key: string
  name: string
  y: number
  height: number
  places: number
}

/** A row of the whole picture: what stands in it from left to right, and the free space below it. */
export interface RowBox {
  y: number
  height: number
  below: number
  ledges: Ledge[]
}

/** What the layout needs to know of a chart: room for names, and what was put by hand. */
export function layoutTask(chart: Chart, graph: SlopeGraph, measure: Measure, known?: SlopeLayout): LayoutTask {
  const names = placeNames(chart)
  const byHand = chart.settings?.slope?.places
  return {
    bands: graph.bands.map(({ key, places }) => ({
      key,
      ...(key === CREST
        ? { gap: 20, rowHeight: LEDGE_HEIGHT + CREST_LANE }
        : { gap: 40, rowHeight: LEDGE_HEIGHT + LANE }),
      places: places.map((id) => ({ id, width: widthOf(names.get(id) ?? id, key, measure) })),
    })),
    edges: graph.edges,
    ...(known ? { known } : {}),
    ...(byHand ? { byHand } : {}),
  }
}

function widthOf(name: string, band: string, measure: Measure): number {
  return Math.ceil(band === CREST ? measure(name) + 22 : Math.max(64, measure(name) + VALUE_ROOM) + 2 * PORCH)
}

function placeNames(chart: Chart): Map<string, string> {
  const names = new Map<string, string>(chart.positions.map(({ id, name }) => [id, name]))
  for (const { name, to } of chart.moves) if (to === 'finish') names.set(finishPlace(name), name)
  return names.set('caught', 'They finish us').set('over', 'It is over')
}

export interface Stood {
  bands: BandBox[]
  rows: RowBox[]
  ledges: Map<string, Ledge>
  height: number
}

/** Bands, rows and ledges of a layout, without values. Places of a band that is folded are left out. */
export function standLedges(
  chart: Chart,
  graph: SlopeGraph,
  layout: SlopeLayout,
  { measure, folded }: { measure: Measure; folded: ReadonlySet<string> },
): Stood {
  const names = placeNames(chart)
  const stood: Stood = { bands: [], rows: [], ledges: new Map(), height: 0 }
  for (const { key, name, places } of graph.bands) {
    const top = stood.height
    let y = top + BAND_TOP
    if (folded.has(key)) y += 16
    else {
      const count = 1 + Math.max(0, ...places.map((id) => layout.places[id]?.row ?? 0))
      for (let row = 0; row < count; row++) {
        const height = key === CREST ? LEDGE_HEIGHT - 3 : LEDGE_HEIGHT
        const ids = places.filter((id) => layout.places[id]?.row === row)
        ids.sort((a, b) => sure(layout.places[a]).x - sure(layout.places[b]).x)
        const ledges = ids.map((id): Ledge => {
          const width = widthOf(names.get(id) ?? id, key, measure)
          const position = lookUp(chart.positions, id)
          return {
            ...{ id, name: names.get(id) ?? id, band: key, row: stood.rows.length, y, width, height },
            kind: isEndId(id) ? id : position ? 'position' : 'finish',
            x: MARGIN + sure(layout.places[id]).x - width / 2,
            isTheirs: position ? position.ahead === 'theirs' : id === 'caught',
            value: null,
          }
        })
        for (const ledge of ledges) stood.ledges.set(ledge.id, ledge)
        const below = key === CREST && row < count - 1 ? CREST_LANE : LANE
        stood.rows.push({ y, height, below, ledges })
        y += height + below
      }
    }
    stood.bands.push({ key, name, y: top, height: y - top, places: places.length })
    stood.height = y
  }
  return stood
}
