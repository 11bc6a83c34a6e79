import { TERMINALS, type Game } from '../game/game'
import { failure, success, type Result } from '../problem'
import { Evaluator } from './evaluate'
import type { Solution } from './solution'
import { ValueTable } from './valueTable'

export const DEFAULT_GAP = 1e-9
const MAX_SWEEPS = 200_000

/**
 * Values without a clock to a stated bound: Gauss-Seidel value iteration, stopped by the residual.
 * Each second survives with chance at most `alive` < 1, so the step is a contraction and V + residual / (1 - alive)
 * bounds the true value on both sides (MacQueen 1966; Puterman 2005, 6.6). `warm`: values to begin from.
 */
export function solveUnclocked(game: Game, gap = DEFAULT_GAP, warm?: Float64Array): Result<Solution> {
  const endless = neverEnding(game)
  if (endless) {
    return failure({
      code: 'needs-an-end',
      path: ['scenario', 'seconds'],
      message: `without a clock every position needs a break-up, and ${endless} has none: set a clock or a break-up`,
    })
  }
  const table = new ValueTable(game, 1, 0)
  const { values } = table
  if (warm) values.set(warm.subarray(TERMINALS), TERMINALS)
  const evaluator = new Evaluator(game, table)
  const sweeper = new Sweeper(game, evaluator)
  let sweeps = 0
  let residual = sweeper.residual()
  const reach = 1 / (1 - sweeper.alive)
  while (sweeps < MAX_SWEEPS && (residual.high - residual.low) * reach > gap) {
    const batch = sweeps < 20 ? 5 : 20
    for (let i = 0; i < batch; i++) sweeper.sweep()
    sweeps += batch
    residual = sweeper.residual()
  }
  const start = values[game.start]
  const fixed = game.start < TERMINALS ? 0 : reach
  const bounds = { lower: start + residual.low * fixed, upper: start + residual.high * fixed, iterations: sweeps }
  return success({ game, values, bounds, evaluator, seconds: null, everySecond: false })
}

/** The name of a position that nothing ends, if there is one. */
function neverEnding(game: Game): string | undefined {
  const g = game.groupBreak.findIndex((chance) => chance === 0)
  if (g < 0) return undefined
  const { index, groupPlace } = game.meaning
  const record = game.groupIsReaction[g] ? index.reactions[groupPlace[g]].record : index.positions[groupPlace[g]].record
  return `"${record.name}"`
}

class Sweeper {
  /** The largest chance that an exchange survives a second. */
  readonly alive: number
  private readonly t: number

  constructor(
    private readonly game: Game,
    private readonly evaluator: Evaluator,
  ) {
    this.t = game.maxSeconds
    this.alive = game.groupBreak.reduce(
      (most, chance, g) => Math.max(most, (1 - chance) * (1 - game.groupThreat[g])),
      0,
    )
  }

  /** One pass in place over all groups; a position in which we can wait undisturbed is waited in to the end at once. */
  sweep(): void {
    const { game, evaluator, t } = this
    for (let g = 0; g < game.groupCount; g++) if (!game.groupIsReaction[g]) this.waitOut(g)
    evaluator.second(t)
  }

  /** Raises a state's value to what waiting there until the exchange ends is worth, which is never above its true value. */
  private waitOut(g: number): void {
    const { game } = this
    const { values } = this.evaluator.table
    const wait = game.groupActions[g]
    if (game.outcomes[wait] !== game.outcomes[wait + 1]) return
    const forever = game.actionToll[wait] / (1 - game.actionAlive[wait])
    for (let state = game.groupStates[g]; state < game.groupStates[g + 1]; state++) {
      if (values[state] < forever) values[state] = forever
    }
  }

  /** By how much one more step would change the values: smallest (at most 0) and largest (at least 0). Takes the step. */
  residual(): { low: number; high: number } {
    const { game, evaluator, t } = this
    const { values } = evaluator.table
    const before = values.slice()
    const after = new Float64Array(values.length)
    const group = new Int32Array(1)
    let low = 0
    let high = 0
    for (let g = 0; g < game.groupCount; g++) {
      group[0] = g
      evaluator.second(t, group)
      for (let state = game.groupStates[g]; state < game.groupStates[g + 1]; state++) {
        after[state] = values[state]
        values[state] = before[state]
        low = Math.min(low, after[state] - before[state])
        high = Math.max(high, after[state] - before[state])
      }
    }
    values.set(after.subarray(TERMINALS), TERMINALS)
    return { low, high }
  }
}
