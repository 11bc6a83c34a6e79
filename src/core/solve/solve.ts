import type { Game } from '../game/game'
import { success, type Result } from '../problem'
import { solveClocked } from './clocked'
import type { Solution } from './solution'
import { DEFAULT_GAP, solveUnclocked } from './unclocked'

export interface SolveOptions {
  /** With a clock: keep the values of every second, as occupancy needs them. */
  everySecond?: boolean
  /** Without a clock: how far apart the bounds may lie. */
  gap?: number
}

/** Solves a game by its scenario's clock, or without one. Fails where there is neither clock nor break-up. */
export function solve(game: Game, { everySecond = false, gap = DEFAULT_GAP }: SolveOptions = {}): Result<Solution> {
  const { seconds } = game.scenario
  if (seconds === null) return solveUnclocked(game, gap)
  return success(solveClocked(game, seconds, everySecond))
}
