import type { Box } from '../slope/boxes'
import { sure } from '../sure'

export type Point = readonly [x: number, y: number]
/** Start, two points that draw it, end: a cubic Bézier curve. */
export type Curve = readonly [Point, Point, Point, Point]

/** A curve that leaves to the right and comes in from the left; one that goes back bends round. */
export function curveOf(from: Point, to: Point): Curve {
  const across = to[0] - from[0]
  const reach = across > 0 ? Math.max(16, across * 0.45) : Math.max(40, -across * 0.3)
  return [from, [from[0] + reach, from[1]], [to[0] - reach, to[1]], to]
}

/** A curve that leaves downwards, or upwards, and ends so. */
export function dropOf(from: Point, to: Point): Curve {
  const half = (to[1] - from[1]) / 2
  return [from, [from[0], from[1] + half], [to[0], to[1] - half], to]
}

/** The point of a curve at a part of its way, 0 to 1. */
export function alongCurve([a, b, c, d]: Curve, part: number): Point {
  const rest = 1 - part
  const at = (i: 0 | 1) =>
    rest ** 3 * a[i] + 3 * rest ** 2 * part * b[i] + 3 * rest * part ** 2 * c[i] + part ** 3 * d[i]
  return [at(0), at(1)]
}

/** A curve as a line of so many straight pieces. */
export const lineOf = (curve: Curve, pieces = 20): Point[] =>
  Array.from({ length: pieces + 1 }, (_, i) => alongCurve(curve, i / pieces))

/** How often two lines cross; where they only touch does not count. */
export function crossingsOf(one: readonly Point[], other: readonly Point[]): number {
  if (!doMeet(boundsOf(one), boundsOf(other))) return 0
  let count = 0
  for (let i = 1; i < one.length; i++)
    for (let j = 1; j < other.length; j++)
      count += Number(doCross(sure(one[i - 1]), sure(one[i]), sure(other[j - 1]), sure(other[j])))
  return count
}

/** True where a line goes through a rectangle. */
export function goesThrough(line: readonly Point[], [l, t, r, b]: Box): boolean {
  const sides: [Point, Point][] = [
    [
      [l, t],
      [r, b],
    ],
    [
      [l, b],
      [r, t],
    ],
  ]
  const isWithin = ([x, y]: Point) => x >= l && x <= r && y >= t && y <= b
  return line.some(
    (point, i) => isWithin(point) || (i > 0 && sides.some(([from, to]) => doCross(sure(line[i - 1]), point, from, to))),
  )
}

/** True where two rectangles meet. */
export const doMeet = (a: Box, b: Box): boolean => a[0] <= b[2] && b[0] <= a[2] && a[1] <= b[3] && b[1] <= a[3]

/** The rectangle about a line. */
export function boundsOf(line: readonly Point[]): Box {
  const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)]
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]
}

function doCross(a: Point, b: Point, c: Point, d: Point): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

const side = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])
