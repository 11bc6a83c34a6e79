import type { Chart } from '../chart/chart'
import type { Move } from '../chart/move'
import type { Figures } from '../insight/figures'
import { Boxes } from './boxes'
import { escapesOf, type Escape } from './escapes'
import type { SlopeGraph } from './graph'
import { LEDGE_HEIGHT, MARGIN, standLedges, type BandBox, type Ledge, type Measure } from './ledges'
import { moveLines, ON_PLAN, type MoveLine } from './lines'
import { placeMarks, placeNames, type EscapeMark, type MarkText } from './marks'
import type { SlopeLayout } from './places'
import { routeWays, type Point, type Way } from './routes'

/** Everything that is drawn, in pixels of the picture. */
export interface Scene {
  width: number
  height: number
  bands: BandBox[]
  ledges: Ledge[]
  lines: MoveLine[]
  marks: EscapeMark[]
  /** By escape: the way from its mark to where it goes, for those that are drawn whole. */
  ways: Map<string, Point[]>
  names: (MarkText & { move: string })[]
}

export interface SceneTask {
  chart: Chart
  graph: SlopeGraph
  layout: SlopeLayout
  figures: Figures | null
  costs: readonly (number | null | undefined)[]
  folded: ReadonlySet<string>
  measure: Measure
  /** An outline is what is left of a large chart from afar: ledges, the best plan's lines and open rings. */
  detail: 'full' | 'outline'
  /** Which moves are named beside their lines, which attempts are drawn all the way, and what their marks say. */
  isNamed(line: MoveLine): boolean
  isWhole(escape: Escape): boolean
  isInFocus(escape: Escape): boolean
  escapeTexts(escape: Escape): string[]
  lineText(line: MoveLine): string
}

/** Pixels beyond the edges in which nothing is put. */
const FAR = 800

/** Draws a chart on its layout: ledges, then lines between them, then marks and names where there is room. */
export function drawScene(task: SceneTask): Scene {
  const { chart, graph, layout, figures, measure } = task
  const { bands, rows, ledges, height } = standLedges(chart, graph, layout, figures, task)
  const width = MARGIN + layout.width + 14
  const all = figures ? escapesOf(chart, figures, task.costs) : []
  const isOutline = task.detail === 'outline'
  const escapes = isOutline ? all.filter(({ kind }) => kind === 'loose') : all
  const lines = moveLines(isOutline ? outlined(task, escapes) : chart.moves, ledges, rows, figures, width)
  const taken = new Boxes()
  for (const ledge of ledges.values()) taken.add(boxOf(ledge))
  const start = ledges.get(figures?.start ?? '')
  if (start) taken.add([start.x, start.y + start.height, start.x + 56, start.y + start.height + 15])
  for (const { y, height: tall } of bands) taken.add([0, y, MARGIN - 24, y + tall])
  taken.add([width - 4, 0, width + FAR, height])
  taken.add([0, height - 2, width + FAR, height + FAR])
  const byMove = new Map<string, MoveLine>(lines.map((line) => [line.move, line]))
  const words = { of: task.escapeTexts, isInFocus: task.isInFocus, measure }
  const marks = placeMarks(escapes, byMove, ledges, taken, words)
  return {
    ...{ width, height, bands, lines, marks },
    ledges: [...ledges.values()],
    ways: escapeWays(marks.filter(({ escape }) => task.isWhole(escape)), ledges, rows, width), // prettier-ignore
    names: isOutline ? [] : placeNames([...lines].reverse().filter(task.isNamed), taken, task.lineText, measure),
  }
}

/** The moves of the best plan, and those on which a loose end hangs. */
function outlined({ chart, figures }: SceneTask, escapes: readonly Escape[]): Move[] {
  const open = new Set<string | null>(escapes.map(({ move }) => move))
  return chart.moves.filter(({ id }) => open.has(id) || (figures?.moves[id]?.uses ?? 0) >= ON_PLAN)
}

const boxOf = ({ x, y, width, height }: Ledge) => [x, y - 1, x + width, y + height + 2] as const

function escapeWays(
  marks: readonly EscapeMark[],
  ledges: ReadonlyMap<string, Ledge>,
  rows: ReturnType<typeof standLedges>['rows'],
  width: number,
): Map<string, Point[]> {
  const ways = marks.flatMap(({ escape, at }): Way[] => {
    const to = ledges.get(escape.to)
    const zone = rows.findLastIndex(({ y }) => y + LEDGE_HEIGHT / 2 < at[1])
    return to && escape.kind !== 'loose' ? [{ key: escape.key, from: { point: at, zone }, to }] : []
  })
  return routeWays(ways, rows, width)
}
