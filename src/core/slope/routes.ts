import { sure, present } from '../sure'
import { LEDGE_HEIGHT, MARGIN, PORCH, type Ledge, type RowBox } from './ledges'
import { spread } from './spread'

export type Point = readonly [x: number, y: number]

/** A line to route: from a ledge, or from a point in the free space below row `zone`, to a ledge. */
export interface Way {
  key: string
  from: { ledge: Ledge } | { point: Point; zone: number }
  to: Ledge
}

/** Pixels between two lines through the same gap, and the least width of a gap that is used. */
const LANE_STEP = 5
const LEAST_GAP = 8

interface Passage {
  row: number
  wish: number
  x: number
}

interface Planned {
  way: Way
  start: number
  end: number
  passages: Passage[]
  upOut: boolean
  upIn: boolean
}

/**
 * The points of every line, by its key. A line leaves a ledge beside its name, passes through gaps between the ledges
 * of the rows that it crosses, never behind a name, and arrives under a ledge or beside its name. Lines through the
 * same gap run side by side. `width`: of the picture, in pixels.
 */
export function routeWays(ways: readonly Way[], rows: readonly RowBox[], width: number): Map<string, Point[]> {
  const planned = ways.map(plan)
  const ports = portsOf(planned)
  const passagesOf = new Map<number, Passage[]>()
  for (const { way, passages } of planned) {
    const startX = 'point' in way.from ? way.from.point[0] : present(ports.out.get(way.key))[0]
    const endX = present(ports.into.get(way.key))[0]
    passages.forEach((passage, i) => {
      passage.wish = startX + ((endX - startX) * (i + 1)) / (passages.length + 1)
      if (!passagesOf.has(passage.row)) passagesOf.set(passage.row, [])
      present(passagesOf.get(passage.row)).push(passage)
    })
  }
  for (const [row, passages] of passagesOf) passGaps(sure(rows[row]), passages, width)
  return new Map(
    planned.map(({ way, passages, start, end, upOut, upIn }) => {
      const from = 'point' in way.from ? way.from.point : present(ports.out.get(way.key))
      const through = passages.flatMap(({ row, x }): Point[] => {
        const top = sure(rows[row]).y - 2
        const bottom = sure(rows[row]).y + sure(rows[row]).height + 2
        return end < start
          ? [
              [x, bottom],
              [x, top],
            ]
          : [
              [x, top],
              [x, bottom],
            ]
      })
      const into = present(ports.into.get(way.key))
      const out: Point[] = upOut ? [from, besideName(from)] : [from]
      return [way.key, [...out, ...through, ...(upIn ? [besideName(into), into] : [into])]]
    }),
  )
}

/** The point level with the top of a ledge's name, up to which a line beside the name stays vertical. */
const besideName = ([x, y]: Point): Point => [x, y - LEDGE_HEIGHT + 5]

/** Plans the rows that a line crosses. A free space has the number of the row above it; −1 is above the crest. */
function plan(way: Way): Planned {
  const target = way.to.row
  const fixed = 'point' in way.from ? way.from.zone : null
  const source = 'ledge' in way.from ? way.from.ledge.row : null
  const upOut = source !== null && target < source
  const start = fixed ?? (upOut ? present(source) - 1 : present(source))
  const upIn = target > start
  const end = upIn ? target - 1 : target
  const passages: Passage[] = []
  if (end < start) for (let row = start; row > end; row--) passages.push({ row, wish: 0, x: 0 })
  else for (let row = start + 1; row <= end; row++) passages.push({ row, wish: 0, x: 0 })
  return { way, start, end, passages, upOut, upIn }
}

interface Port {
  key: string
  toward: number
}

/** The points where lines leave and arrive: upwards beside the name, on their side; downwards along the bar. */
function portsOf(planned: readonly Planned[]) {
  const sides = new Map<
    string,
    { ledge: Ledge; side: 'left' | 'right' | 'under'; ports: (Port & { goes: boolean })[] }
  >()
  const add = (ledge: Ledge, upwards: boolean, key: string, toward: number, goes: boolean) => {
    const side = !upwards ? 'under' : toward < ledge.x + ledge.width / 2 ? 'left' : 'right'
    const name = `${side} ${ledge.id}`
    if (!sides.has(name)) sides.set(name, { ledge, side, ports: [] })
    present(sides.get(name)).ports.push({ key, toward, goes })
  }
  const centre = ({ x, width }: Ledge) => x + width / 2
  for (const { way, upOut, upIn } of planned) {
    if ('ledge' in way.from) add(way.from.ledge, upOut, way.key, centre(way.to), true)
    add(way.to, upIn, way.key, 'ledge' in way.from ? centre(way.from.ledge) : way.from.point[0], false)
  }
  const out = new Map<string, Point>()
  const into = new Map<string, Point>()
  for (const { ledge, side, ports } of sides.values()) {
    ports.sort((a, b) => a.toward - b.toward)
    const room = side === 'under' ? ledge.width - 2 * PORCH : PORCH - 4
    const step = Math.min(side === 'under' ? 14 : 5, room / ports.length)
    const middle =
      side === 'left' ? ledge.x + PORCH / 2 : side === 'right' ? ledge.x + ledge.width - PORCH / 2 : centre(ledge)
    ports.forEach(({ key, goes }, i) => {
      const x = middle + (i - (ports.length - 1) / 2) * step
      const y =
        side === 'under' ? ledge.y + ledge.height : ledge.kind === 'position' ? ledge.y + LEDGE_HEIGHT - 7 : ledge.y
      ;(goes ? out : into).set(key, [x, y])
    })
  }
  return { out, into }
}

/** Assigns each passage through a row to the gap nearest to its wished place, and to a lane in it. */
function passGaps(row: RowBox, passages: Passage[], width: number): void {
  const gaps: { left: number; right: number; passages: Passage[] }[] = []
  let left = MARGIN - 14
  for (const { x, width: taken } of row.ledges) {
    if (x - left >= LEAST_GAP) gaps.push({ left, right: x, passages: [] })
    left = x + taken
  }
  gaps.push({ left, right: Math.max(width, left + 40), passages: [] })
  const away = (gap: { left: number; right: number }, x: number) => Math.max(gap.left + 3 - x, x - gap.right + 3, 0)
  for (const passage of passages) {
    const crowd = (gap: (typeof gaps)[number]) => {
      const room = (gap.right - gap.left) / LANE_STEP
      return away(gap, passage.wish) + Math.max(0, gap.passages.length + 1 - room) * 12
    }
    gaps.reduce((best, gap) => (crowd(gap) < crowd(best) ? gap : best)).passages.push(passage)
  }
  for (const { left, right, passages: own } of gaps) {
    if (!own.length) continue
    own.sort((a, b) => a.wish - b.wish)
    const step = Math.min(LANE_STEP, (right - left - 4) / own.length)
    const lanes = spread(
      own.map(({ wish }) => ({ wish: wish - left - 2, width: step })),
      0,
      right - left - 4,
    )
    own.forEach((passage, i) => (passage.x = left + 2 + sure(lanes[i])))
  }
}

const fine = (n: number) => String(Math.round(n * 10) / 10)

/** The first curved part of a line, from one point to the next, on which a mark may be placed. */
export function bentPart(points: readonly Point[]): [Point, Point] {
  const i = points.length > 2 && sure(points[0])[0] === sure(points[1])[0] ? 1 : 0
  return [sure(points[i]), sure(points[i + 1])]
}

/** A smooth SVG path that is vertical at each point; a line back to the same row sags below it. */
export function pathOf(points: readonly Point[]): string {
  const [[x0, y0], ...rest] = [sure(points[0]), ...points.slice(1)] as const
  let path = `M${fine(x0)} ${fine(y0)}`
  let [px, py] = [x0, y0]
  for (const [x, y] of rest) {
    const [a, b] = handles([px, py], [x, y])
    path += x === px ? `V${fine(y)}` : `C${fine(px)} ${fine(a)} ${fine(x)} ${fine(b)} ${fine(x)} ${fine(y)}`
    ;[px, py] = [x, y]
  }
  return path
}

/** Heights of a curve's two handles. Between two points of one height the curve sags, more for a longer distance. */
function handles([x0, y0]: Point, [x1, y1]: Point): [number, number] {
  if (Math.abs(y1 - y0) > 1) return [(y0 + y1) / 2, (y0 + y1) / 2]
  const sag = Math.min(38, 14 + Math.abs(x1 - x0) / 30)
  return [y0 + sag, y1 + sag]
}

/** The point at part t (0 to 1) of the curve from one point to the next. */
export function pointAt(from: Point, to: Point, t: number): Point {
  const [a, b] = handles(from, to)
  const u = 1 - t
  const mix = (p: number, q: number, r: number, s: number) =>
    u * u * u * p + 3 * u * u * t * q + 3 * u * t * t * r + t * t * t * s
  return [mix(from[0], from[0], to[0], to[0]), mix(from[1], a, b, to[1])]
}
