import type { Chart } from '../chart/chart'
import type { HoldId, MoveId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Race } from '../chart/race'
import type { Scenario } from '../game/scenario'
import { brakesOf, type Brake } from '../holds/race'
import type { Job } from '../job'
import { worthsOf } from '../insight/figures'
import { withHold } from './gains'

/** Which race: of a move or an answer by it, from a position. */
export interface BrakeAsked {
  position: PositionId
  move: MoveId
  race: Race
}

/** A hold that slows them in a race, and what the position is worth more with it than without it. */
export interface BrakeWorth extends Brake {
  gain: number | null
}

/**
 * What each hold that slows them in a race is worth in a position, the most first: the position solved with it on and
 * with it off. A gain is null where that cannot be computed.
 */
export function* brakeWorths(
  chart: Chart,
  scenario: Scenario,
  { position, move: id, race }: BrakeAsked,
): Job<BrakeWorth[]> {
  const move = lookUp(chart.moves, id)
  if (!move) return []
  const brakes = brakesOf(chart, position, move, race)
  const worthIn = (other: Chart) => {
    const worths = worthsOf(other, scenario, position)
    return worths.ok ? worths.value.position : null
  }
  const now = brakes.length ? worthIn(chart) : null
  const found: BrakeWorth[] = []
  for (const [i, brake] of brakes.entries()) {
    const { hold, isOn } = brake
    const then = worthIn(isOn ? withoutHold(chart, position, hold) : withHold(chart, position, hold))
    found.push({ ...brake, gain: now === null || then === null ? null : isOn ? now - then : then - now })
    yield (i + 1) / (brakes.length + 1)
  }
  return found.sort((a, b) => (b.gain ?? 0) - (a.gain ?? 0))
}

/** The chart with a hold off in a position. */
function withoutHold(chart: Chart, position: PositionId, hold: HoldId): Chart {
  const positions = chart.positions.map((one) =>
    one.id === position ? { ...one, holds: (one.holds ?? []).filter((id) => id !== hold) } : one,
  )
  return { ...chart, positions }
}
