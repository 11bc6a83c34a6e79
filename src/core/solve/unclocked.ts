import { TERMINALS, type Game } from '../game/game'
import { failure, success, type Result } from '../problem'
import type { Batches } from './batches'
import { Evaluator } from './evaluate'
import type { Solution } from './solution'
import { Stepper } from './stepper'
import { ValueTable } from './valueTable'

export const DEFAULT_GAP = 1e-9
const MAX_STEPS = 400_000
/** Steps between two looks at how far the bounds lie apart. */
const BATCH = 10

/**
 * Values without a clock to a stated bound: value iteration, stopped by the residual.
 * Each second survives with chance at most `alive` < 1, so the step is a contraction and V + residual / (1 - alive)
 * bounds the true value on both sides (MacQueen 1966; Puterman 2005, 6.6).
 */
export function solveUnclocked(game: Game, gap = DEFAULT_GAP, batches?: Batches): Result<Solution> {
  const endless = neverEnding(game)
  if (endless) {
    return failure({
      code: 'needs-an-end',
      path: ['scenario', 'seconds'],
      message: `without a clock every position needs a break-up, and ${endless} has none: set a clock or a break-up`,
    })
  }
  const iteration = new Iteration(game, batches)
  const reach = 1 / (1 - longestSurvival(game))
  let residual = { low: -Infinity, high: Infinity }
  while (iteration.steps < MAX_STEPS && (residual.high - residual.low) * reach > gap) {
    iteration.waitOut()
    for (let i = 0; i < BATCH; i++) iteration.step()
    residual = iteration.residual()
  }
  const table = new ValueTable(game, 1)
  table.values.set(iteration.row())
  const start = table.values[game.start]
  const fixed = game.start < TERMINALS ? 0 : reach
  const bounds = {
    lower: start + residual.low * fixed,
    upper: start + residual.high * fixed,
    iterations: iteration.steps,
  }
  const evaluator = new Evaluator(game, table)
  return success({ game, values: table.values, bounds, evaluator, seconds: null })
}

/** The name of a position that nothing ends, if there is one. */
function neverEnding(game: Game): string | undefined {
  const g = game.groupBreak.findIndex((chance) => chance === 0)
  if (g < 0) return undefined
  const { index, groupPlace } = game.meaning
  const record = game.groupIsReaction[g] ? index.reactions[groupPlace[g]].record : index.positions[groupPlace[g]].record
  return `"${record.name}"`
}

/** The largest chance that an exchange survives a second. */
function longestSurvival({ groupBreak, groupThreat, groupOut }: Game): number {
  const survives = (chance: number, g: number) => (1 - chance) * (1 - groupThreat[g]) * (1 - groupOut[g])
  return groupBreak.reduce((most, chance, g) => Math.max(most, survives(chance, g)), 0)
}

/** Two rows of values, each step from the one to the other. */
class Iteration {
  steps = 0
  private readonly table: ValueTable
  private readonly stepper: Stepper

  constructor(
    private readonly game: Game,
    batches?: Batches,
  ) {
    this.table = new ValueTable(game, 2)
    this.stepper = new Stepper(game, this.table.values, batches)
  }

  step(): void {
    const before = this.table.row(this.steps)
    this.stepper.step(this.table.row(++this.steps), () => before)
  }

  /** The newest values. */
  row(): Float64Array {
    const now = this.table.row(this.steps)
    return this.stepper.values.slice(now, now + this.game.stateCount)
  }

  /** By how much the last step changed the values: smallest (at most 0) and largest (at least 0). */
  residual(): { low: number; high: number } {
    const { values } = this.stepper
    const now = this.table.row(this.steps)
    const before = this.table.row(this.steps + 1)
    let low = 0
    let high = 0
    for (let state = TERMINALS; state < this.game.stateCount; state++) {
      const change = values[now + state] - values[before + state]
      if (change < low) low = change
      else if (change > high) high = change
    }
    return { low, high }
  }

  /** Raises each value to that of waiting until the exchange ends, which is never above the true value. */
  waitOut(): void {
    const { game } = this
    const { values } = this.stepper
    const now = this.table.row(this.steps)
    for (let g = 0; g < game.groupCount; g++) {
      const wait = game.groupActions[g]
      if (game.groupIsReaction[g] || game.outcomes[wait] !== game.outcomes[wait + 1]) continue
      const forever = game.actionToll[wait] / (1 - game.actionAlive[wait])
      for (let state = game.groupStates[g]; state < game.groupStates[g + 1]; state++) {
        if (values[now + state] < forever) values[now + state] = forever
      }
    }
  }
}
