import type { Game } from '../game/game'
import { BLOCK } from './blockPlan'
import { Evaluator } from './evaluate'
import type { Solution } from './solution'
import { ValueTable } from './valueTable'

/** Seconds between two clearings of a table that does not keep every second. */
const STRETCH = 32

/**
 * Exact values with a clock, by backward induction over the seconds left (Bellman 1957; Puterman 2005, 4.5).
 * Keeps only the seconds that the longest action reaches back to, unless `everySecond` asks for the whole table.
 */
export function solveClocked(game: Game, seconds: number, everySecond = false): Solution {
  const keep = Math.min(seconds, game.maxSeconds) + 1
  const stride = everySecond ? seconds + BLOCK : Math.min(seconds + BLOCK, keep + STRETCH + BLOCK)
  const table = new ValueTable(game, stride, 1)
  const evaluator = new Evaluator(game, table)
  let t = 1
  for (; t + BLOCK - 1 <= seconds; t += BLOCK) {
    if (table.column(t) + BLOCK > stride) table.slide(t, keep)
    evaluator.block(t)
  }
  for (; t <= seconds; t++) {
    if (table.column(t) >= stride) table.slide(t, keep)
    evaluator.second(t)
  }
  return { game, values: table.snapshot(seconds), evaluator, seconds, everySecond }
}
