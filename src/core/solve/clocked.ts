import { NONE, type Game } from '../game/game'
import type { Batches } from './batches'
import { Evaluator } from './evaluate'
import type { Solution } from './solution'
import { Stepper } from './stepper'
import { ValueTable } from './valueTable'

/**
 * Exact values with a clock, by backward induction over the seconds left (Bellman 1957; Puterman 2005, 4.5).
 * Keeps only the seconds that the longest action reaches back to, unless `everySecond` asks for the whole table and the
 * policy by second. `batches`: those of a game that differs in chances only, where they are known.
 */
export function solveClocked(game: Game, seconds: number, everySecond = false, batches?: Batches): Solution {
  const ring = new ValueTable(game, Math.min(seconds, game.maxSeconds) + 1)
  const stepper = new Stepper(game, ring.values, batches)
  const all = everySecond ? new ValueTable(game, seconds + 1) : ring
  const policy = everySecond ? new Int32Array((seconds + 1) * game.stateCount).fill(NONE) : undefined
  for (let t = 1; t <= seconds; t++) {
    const now = ring.row(t)
    stepper.step(now, (s) => (s <= t ? ring.row(t - s) : NONE))
    if (!policy) continue
    all.values.set(stepper.values.subarray(now, now + game.stateCount), all.row(t))
    policy.set(stepper.recordBest(now), t * game.stateCount)
  }
  if (!policy) ring.values.set(stepper.values)
  const evaluator = new Evaluator(game, all)
  return { game, values: all.snapshot(seconds), evaluator, seconds, ...(policy ? { policy } : {}) }
}
