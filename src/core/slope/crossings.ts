/** A straight line between two places. */
export interface Segment {
  ax: number
  ay: number
  bx: number
  by: number
}

/** Which side of the line through a and b the point lies on; its sign is what matters. */
const side = ({ ax, ay, bx, by }: Segment, x: number, y: number) => (bx - ax) * (y - ay) - (by - ay) * (x - ax)

/** Whether two lines cross between their ends; lines that share an end do not. */
export function cross(one: Segment, other: Segment): boolean {
  if (Math.max(one.ax, one.bx) < Math.min(other.ax, other.bx)) return false
  if (Math.max(other.ax, other.bx) < Math.min(one.ax, one.bx)) return false
  return (
    side(one, other.ax, other.ay) * side(one, other.bx, other.by) < 0 &&
    side(other, one.ax, one.ay) * side(other, one.bx, one.by) < 0
  )
}

/** How many pairs of the lines cross. */
export function countCrossings(segments: readonly Segment[]): number {
  const sorted = [...segments].sort((a, b) => Math.min(a.ay, a.by) - Math.min(b.ay, b.by))
  let crossings = 0
  for (let i = 0; i < sorted.length; i++) {
    const lowest = Math.max(sorted[i].ay, sorted[i].by)
    for (let j = i + 1; j < sorted.length && Math.min(sorted[j].ay, sorted[j].by) <= lowest; j++) {
      if (cross(sorted[i], sorted[j])) crossings++
    }
  }
  return crossings
}

export const meanLength = (segments: readonly Segment[]): number =>
  segments.reduce((sum, { ax, ay, bx, by }) => sum + Math.hypot(bx - ax, by - ay), 0) / Math.max(1, segments.length)
