import { toPositionId } from '../chart/ids'
import type { Chart } from '../chart/chart'
import type { Move } from '../chart/move'
import type { Figures } from '../insight/figures'
import { Boxes } from './boxes'
import type { Escape } from './escapes'
import type { SlopeGraph } from './graph'
import { LEDGE_HEIGHT, MARGIN, standLedges, type BandBox, type Ledge, type Measure, type Stood } from './ledges'
import { drawnMoves, moveLines, ON_PLAN, routeMoves, type MoveLine } from './lines'
import { placeMarks, placeNames, type EscapeMark, type MarkText } from './marks'
import type { SlopeLayout } from './places'
import { routeWays, type Point, type Way } from './routes'

/** Everything that is drawn on the Slope, in pixels of the picture. */
export interface Scene {
  width: number
  height: number
  bands: BandBox[]
  ledges: Ledge[]
  lines: MoveLine[]
  marks: EscapeMark[]
  /** By key of the escape: the points of its line from the mark to where it leads, for those drawn in full. */
  ways: Map<string, Point[]>
  names: (MarkText & { move: string })[]
}

/** The part of a picture that does not depend on values; computed once for all scenarios. */
export interface Ground extends Stood {
  chart: Chart
  width: number
  /** The points of the lines of all moves, computed at the first call. */
  routes: () => Map<string, Point[]>
  /** Ledges with their last values, so that one with an unchanged value stays the same object. */
  valued: Map<string, Ledge>
}

/** Places the ledges and rows of a chart by its layout. */
export function groundOf(
  chart: Chart,
  graph: SlopeGraph,
  layout: SlopeLayout,
  look: { measure: Measure; folded: ReadonlySet<string> },
): Ground {
  const stood = standLedges(chart, graph, layout, look)
  const width = MARGIN + layout.width + 14
  let routes: Map<string, Point[]> | undefined
  return {
    ...{ ...stood, chart, width, valued: new Map(stood.ledges) },
    routes: () => (routes ??= routeMoves(drawnMoves(chart.moves, stood.ledges), stood.ledges, stood.rows, width)),
  }
}

export interface SceneTask {
  ground: Ground
  figures: Figures | null
  escapes: readonly Escape[]
  measure: Measure
  /** `outline`, for a large chart zoomed out: only ledges, the best plan's lines and the rings of loose ends. */
  detail: 'full' | 'outline'
  /** Which moves are named beside their lines, which attempts are drawn all the way, and what their marks say. */
  isNamed: (line: MoveLine) => boolean
  isWhole: (escape: Escape) => boolean
  isInFocus: (escape: Escape) => boolean
  escapeTexts: (escape: Escape) => string[]
  lineText: (line: MoveLine) => string
}

/** Pixels beyond each edge of the picture that are blocked for names and marks. */
const FAR = 800

/** Adds the values to a ground: ledges, then lines, then marks and names where there is room. */
export function drawScene(task: SceneTask): Scene {
  const { ground, figures, measure } = task
  const { bands, rows, width, height } = ground
  const ledges = valuedLedges(ground, figures)
  const isOutline = task.detail === 'outline'
  const escapes = isOutline ? task.escapes.filter(({ kind }) => kind === 'loose') : task.escapes
  const moves = drawnMoves(isOutline ? outlined(task, escapes) : ground.chart.moves, ledges)
  const lines = moveLines(moves, isOutline ? routeMoves(moves, ledges, rows, width) : ground.routes(), figures)
  const taken = takenBy(ground, figures?.start)
  const byMove = new Map<string, MoveLine>(lines.map((line) => [line.move, line]))
  const words = { of: task.escapeTexts, isInFocus: task.isInFocus, measure }
  const marks = placeMarks(escapes, byMove, ledges, taken, words)
  return {
    ...{ width, height, bands, lines, marks },
    ledges: [...ledges.values()],
    ways: escapeWays(
      marks.filter(({ escape }) => task.isWhole(escape)),
      ledges,
      rows,
      width,
    ),
    names: isOutline ? [] : placeNames([...lines].reverse().filter(task.isNamed), taken, task.lineText, measure),
  }
}

function valuedLedges({ valued }: Ground, figures: Figures | null): Map<string, Ledge> {
  for (const [id, ledge] of valued) {
    const value = ledge.kind === 'position' ? (figures?.positions[toPositionId(id)]?.value ?? null) : null
    if (value !== ledge.value) valued.set(id, { ...ledge, value })
  }
  return valued
}

/** Blocks the room of ledges, the start's label, the names of bands, and everything beyond the edges. */
function takenBy({ ledges, bands, width, height }: Ground, startId: string | undefined): Boxes {
  const taken = new Boxes()
  for (const ledge of ledges.values()) taken.add(boxOf(ledge))
  const start = ledges.get(startId ?? '')
  if (start) taken.add([start.x, start.y + start.height, start.x + 56, start.y + start.height + 15])
  for (const { y, height: tall } of bands) taken.add([0, y, MARGIN - 24, y + tall])
  taken.add([width - 4, 0, width + FAR, height])
  taken.add([0, height - 2, width + FAR, height + FAR])
  return taken
}

/** The moves of the best plan, and those with a loose end. */
function outlined({ ground, figures }: SceneTask, escapes: readonly Escape[]): Move[] {
  const open = new Set<string | null>(escapes.map(({ move }) => move))
  return ground.chart.moves.filter(({ id }) => open.has(id) || (figures?.moves[id]?.uses ?? 0) >= ON_PLAN)
}

const boxOf = ({ x, y, width, height }: Ledge) => [x, y - 1, x + width, y + height + 2] as const

function escapeWays(
  marks: readonly EscapeMark[],
  ledges: ReadonlyMap<string, Ledge>,
  rows: Stood['rows'],
  width: number,
): Map<string, Point[]> {
  const ways = marks.flatMap(({ escape, at }): Way[] => {
    const to = ledges.get(escape.to)
    const zone = rows.findLastIndex(({ y }) => y + LEDGE_HEIGHT / 2 < at[1])
    return to && escape.kind !== 'loose' ? [{ key: escape.key, from: { point: at, zone }, to }] : []
  })
  return routeWays(ways, rows, width)
}
