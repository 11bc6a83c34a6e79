import type { Chart } from '../chart/chart'
import { NOTHING_SEEN } from '../chart/cue'
import { toCueId, type CueId, type PositionId } from '../chart/ids'
import { cueId, positionId } from '../game/describe'
import type { Occupancy } from '../solve/occupancy'
import { sightsOf } from '../solve/sights'
import type { Solution } from '../solve/solution'
import { sure } from '../sure'

/* Where they put the arm, the head or the hip: what we see on coming to a position is theirs to choose. */

/** Something that is seen on coming to a position; `nothing`: nothing in particular. */
export interface SeenWhere {
  position: PositionId
  cue: CueId | typeof NOTHING_SEEN
}

export const keyOfPlaced = ({ position, cue }: SeenWhere): string => `seen ${position} ${cue}`

/** Everything that is seen somewhere in a chart, position by position. */
export const allPlaced = (chart: Chart): SeenWhere[] =>
  chart.positions.flatMap(({ id, seen = {} }) =>
    Object.entries(seen).flatMap(([cue, n]): SeenWhere[] =>
      n > 0 ? [{ position: id, cue: cue === NOTHING_SEEN ? NOTHING_SEEN : toCueId(cue) }] : [],
    ),
  )

/**
 * The counts of what is seen if they place one `times` as often (0: never, Infinity: always). What it gains the others
 * lose in proportion, as far as they go; what is all that is seen stays so.
 */
export function placedMore(seen: Record<string, number>, cue: string, times: number): Record<string, number> {
  const now = seen[cue] ?? 0
  const others = Object.values(seen).reduce((sum, n) => sum + n, 0) - now
  const more = times === Infinity ? others : Math.min(now * (times - 1), others)
  if (!more || others === 0) return seen
  const keep = 1 - more / others
  return Object.fromEntries(Object.entries(seen).map(([id, n]) => [id, id === cue ? now + more : n * keep]))
}

/** The chart if something is placed `times` as often in a position. */
export function withPlacedMore(chart: Chart, { position, cue }: SeenWhere, times: number): Chart {
  const positions = chart.positions.map((record) => {
    if (record.id !== position || !record.seen) return record
    return { ...record, seen: placedMore(record.seen, cue, times) }
  })
  return { ...chart, positions }
}

/** How often at most something can be placed more in a position: less than `times` where nothing else is left. */
export function placesPossible(chart: Chart, { position, cue }: SeenWhere, times: number): number {
  const seen = chart.positions.find(({ id }) => id === position)?.seen ?? {}
  const { [cue]: now = 0 } = seen
  return now ? (placedMore(seen, cue, times)[cue] ?? 0) / now : 1
}

/**
 * What each place would gain them if they chose it more, to first order: how often it is seen times how far it is below
 * what is seen else on the same arrival.
 */
export function promiseOfPlaced(solution: Solution, occupancy: Occupancy): Map<string, number> {
  const { game, values } = solution
  const promises = new Map<string, number>()
  for (let arrival = game.arrivalsFrom; arrival < game.stateCount; arrival++) {
    const sights = sightsOf(solution, arrival)
    for (const { cue, state, share } of sights) {
      if (share >= 1) continue
      const value = sure(values[state])
      const others = (sure(values[arrival]) - share * value) / (1 - share)
      const position = positionId(game, sure(game.meaning.groupPlace[sure(game.stateGroup[state])]))
      const key = keyOfPlaced({ position, cue: cueId(game, cue) })
      promises.set(key, (promises.get(key) ?? 0) + sure(occupancy.states[state]) * (others - value))
    }
  }
  return promises
}
