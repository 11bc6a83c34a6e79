import type { Game } from '../game/game'
import { success, type Result } from '../problem'
import type { Batches } from './batches'
import { solveClocked } from './clocked'
import type { Solution } from './solution'
import { DEFAULT_GAP, solveUnclocked } from './unclocked'

export interface SolveOptions {
  /** With a clock: keep the values of every second, as occupancy needs them. */
  everySecond?: boolean
  /** Without a clock: how far apart the bounds may lie. */
  gap?: number
  /** Those of a game that differs in chances only, where they are known. */
  batches?: Batches
}

/** Solves a game by its scenario's clock, or without one. Fails where there is neither clock nor break-up. */
export function solve(game: Game, how: SolveOptions = {}): Result<Solution> {
  const { everySecond, gap = DEFAULT_GAP, batches } = how
  const { seconds } = game.scenario
  if (seconds === null) return solveUnclocked(game, gap, batches)
  return success(solveClocked(game, seconds, everySecond, batches))
}
