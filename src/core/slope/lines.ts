import { present } from '../sure'
import type { MoveId } from '../chart/ids'
import type { Move } from '../chart/move'
import type { Figures } from '../insight/figures'
import { landingOf } from './graph'
import type { Ledge, RowBox } from './ledges'
import { routeWays, type Point, type Way } from './routes'

/** Of an exchange, how often a move must be tried for it to count as part of the best plan. */
export const ON_PLAN = 0.005

/** A move as a line from where it is tried to where it lands. */
export interface MoveLine {
  move: MoveId
  name: string
  /** Whether it is tried only while something is seen. */
  waits: boolean
  from: string
  to: string
  points: Point[]
  /** Expected times that an exchange tries it. */
  uses: number
  /** Pixels: thin where the best plan does not use it. */
  width: number
}

const THIN = 1.2
const THICKEST = 9

/** The moves between ledges that are there. */
export const drawnMoves = (moves: readonly Move[], ledges: ReadonlyMap<string, Ledge>): Move[] =>
  moves.filter((move) => ledges.has(move.from) && ledges.has(landingOf(move)))

/** Points of the ways of moves, by id. */
export function routeMoves(
  moves: readonly Move[],
  ledges: ReadonlyMap<string, Ledge>,
  rows: readonly RowBox[],
  width: number,
): Map<string, Point[]> {
  const ways = moves.map((move): Way => ({
    key: move.id,
    from: { ledge: present(ledges.get(move.from)) },
    to: present(ledges.get(landingOf(move))),
  }))
  return routeWays(ways, rows, width)
}

/** The lines of routed moves, those that the best plan uses most last, on top. */
export function moveLines(
  moves: readonly Move[],
  points: ReadonlyMap<string, Point[]>,
  figures: Figures | null,
): MoveLine[] {
  const usesOf = (id: MoveId) => figures?.moves[id]?.uses ?? 0
  const most = Math.max(ON_PLAN, ...moves.map(({ id }) => usesOf(id)))
  return moves
    .map((move): MoveLine => {
      const uses = usesOf(move.id)
      return {
        ...{
          move: move.id,
          name: move.name,
          waits: Boolean(move.when?.length),
          from: move.from,
          to: landingOf(move),
          uses,
        },
        points: present(points.get(move.id)),
        width: uses < ON_PLAN ? THIN : THIN + 1 + (THICKEST - THIN - 1) * (uses / most) ** 0.7,
      }
    })
    .sort((a, b) => a.uses - b.uses)
}
