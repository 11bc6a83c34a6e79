import type { Game } from '../game/game'
import type { Evaluator } from './evaluate'

/** What solving a game gives, with or without a clock. */
export interface Solution {
  game: Game
  /** Value of each state with the full clock, or without a clock. */
  values: Float64Array
  /** Without a clock: what the values are known to lie within. */
  bounds?: { lower: number; upper: number; iterations: number }
  /** Values of actions at the full clock; also, where every row was kept, at any time left. */
  evaluator: Evaluator
  /** Seconds on the clock, or null. */
  seconds: number | null
  /** Best action by seconds left and state (t * stateCount + state), where the rows of every second were kept. */
  policy?: Int32Array
}

/** The time at which a state's actions are valued: the full clock, or (no clock) one at which every action fits. */
export function fullClock({ seconds, game }: Solution): number {
  return seconds ?? game.maxSeconds
}

/** Ties between actions are settled within this. */
export function tieTolerance({ bounds }: Solution): number {
  return bounds ? Math.max(1e-12, bounds.upper - bounds.lower) : 1e-12
}
