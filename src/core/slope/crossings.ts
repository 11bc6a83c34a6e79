import { sure } from '../sure'

/** A straight line between two places. */
export interface Segment {
  ax: number
  ay: number
  bx: number
  by: number
}

/** Positive on one side of the line through a and b, negative on the other, 0 on it. */
const side = ({ ax, ay, bx, by }: Segment, x: number, y: number) => (bx - ax) * (y - ay) - (by - ay) * (x - ax)

/** True where two segments cross between their ends; segments that share an end do not cross. */
export function cross(one: Segment, other: Segment): boolean {
  if (Math.max(one.ax, one.bx) < Math.min(other.ax, other.bx)) return false
  if (Math.max(other.ax, other.bx) < Math.min(one.ax, one.bx)) return false
  return (
    side(one, other.ax, other.ay) * side(one, other.bx, other.by) < 0 &&
    side(other, one.ax, one.ay) * side(other, one.bx, one.by) < 0
  )
}

/**
 * The number of pairs of segments that cross, as `cross` tells for each pair. It runs very often during a layout, so it
 * works on typed arrays sorted by the upper ends, with the test of `cross` written out.
 */
export function countCrossings(segments: readonly Segment[]): number {
  const n = segments.length
  const sorted = [...segments].sort((a, b) => Math.min(a.ay, a.by) - Math.min(b.ay, b.by))
  const column = (of: (segment: Segment) => number) => Float64Array.from(sorted, of)
  const [ax, ay, bx, by] = [column((s) => s.ax), column((s) => s.ay), column((s) => s.bx), column((s) => s.by)]
  const [left, right] = [column((s) => Math.min(s.ax, s.bx)), column((s) => Math.max(s.ax, s.bx))]
  const [top, bottom] = [column((s) => Math.min(s.ay, s.by)), column((s) => Math.max(s.ay, s.by))]
  let crossings = 0
  for (let i = 0; i < n; i++) {
    const [x, y, dx, dy] = [sure(ax[i]), sure(ay[i]), sure(bx[i]) - sure(ax[i]), sure(by[i]) - sure(ay[i])]
    const [l, r, low] = [sure(left[i]), sure(right[i]), sure(bottom[i])]
    for (let j = i + 1; j < n && sure(top[j]) <= low; j++) {
      if (sure(right[j]) < l || r < sure(left[j])) continue
      const ours = (dx * (sure(ay[j]) - y) - dy * (sure(ax[j]) - x)) * (dx * (sure(by[j]) - y) - dy * (sure(bx[j]) - x))
      if (ours >= 0) continue
      const [ex, ey] = [sure(bx[j]) - sure(ax[j]), sure(by[j]) - sure(ay[j])]
      const theirs =
        (ex * (y - sure(ay[j])) - ey * (x - sure(ax[j]))) *
        (ex * (sure(by[i]) - sure(ay[j])) - ey * (sure(bx[i]) - sure(ax[j])))
      if (theirs < 0) crossings++
    }
  }
  return crossings
}

export const meanLength = (segments: readonly Segment[]): number =>
  segments.reduce((sum, { ax, ay, bx, by }) => sum + Math.hypot(bx - ax, by - ay), 0) / Math.max(1, segments.length)
