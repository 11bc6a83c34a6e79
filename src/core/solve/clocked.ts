import { NONE, type Game } from '../game/game'
import { Evaluator } from './evaluate'
import type { Solution } from './solution'
import { Stepper } from './stepper'
import { ValueTable } from './valueTable'

/**
 * Exact values with a clock, by backward induction over the seconds left (Bellman 1957; Puterman 2005, 4.5).
 * Keeps only the seconds that the longest action reaches back to, unless `everySecond` asks for the whole table and the
 * policy by second.
 */
export function solveClocked(game: Game, seconds: number, everySecond = false): Solution {
  const reach = Math.min(seconds, game.maxSeconds) + 1
  const table = new ValueTable(game, everySecond ? seconds + 1 : reach)
  const stepper = new Stepper(game, table.values)
  const policy = everySecond ? new Int32Array((seconds + 1) * game.stateCount).fill(NONE) : undefined
  for (let t = 1; t <= seconds; t++) {
    stepper.step(table.row(t), (s) => (s <= t ? table.row(t - s) : NONE))
    if (policy) stepper.recordBest(policy, t * game.stateCount, table.row(t), table.row(t - 1))
  }
  const evaluator = new Evaluator(game, table)
  return { game, values: table.snapshot(seconds), evaluator, seconds, ...(policy ? { policy } : {}) }
}
