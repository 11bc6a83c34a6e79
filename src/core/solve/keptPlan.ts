import { NONE, TERMINALS, type Game } from '../game/game'
import { makeBatches } from './batches'
import { occupancyOf } from './occupancy'
import { fullClock, tieTolerance, type Solution } from './solution'
import { Stepper } from './stepper'
import { ValueTable } from './valueTable'

/** Without a clock: passes go on until none changes a value by more than this. */
const STILL = 1e-6
const MAX_PASSES = 20_000
/** Expected number of visits per exchange to all ignored states together. */
const SELDOM = 0.01

/**
 * Values a fixed plan in games that differ in chances only (policy evaluation, Puterman 2005, 4.2 and 6.4), although
 * another plan may be better there. States that are seldom visited keep their old values; the error is at most `SELDOM`
 * times the change of values there.
 */
export class KeptPlan {
  /** The states that the plan visits; and the action there by seconds left (without a clock: at all times). */
  private readonly states: Int32Array
  private readonly planned: Int32Array

  /** With a clock the solution must have kept every second. `batches`: those of its game. */
  constructor(
    private readonly solution: Solution,
    private readonly batches = makeBatches(solution.game),
  ) {
    const { policy, game, evaluator, seconds } = solution
    this.states = Int32Array.from(this.thatMatter())
    const { states } = this
    const n = states.length
    this.planned = policy
      ? Int32Array.from(
          { length: (seconds! + 1) * n },
          (_, i) => policy[((i / n) | 0) * game.stateCount + states[i % n]],
        )
      : states.map((state) => evaluator.bestAction(fullClock(solution), state, tieTolerance(solution)))
  }

  /** The start's value in a game that differs in chances only. */
  worthIn(game: Game): number {
    const { seconds } = this.solution
    if (game.start < TERMINALS) return this.solution.values[game.start]
    return seconds === null ? this.unclocked(game) : this.clocked(game, seconds)
  }

  private clocked(game: Game, seconds: number): number {
    const { states, planned } = this
    const before = this.solution.evaluator.table
    const ring = new ValueTable(game, Math.min(seconds, game.maxSeconds) + 1)
    const stepper = new Stepper(game, ring.values, this.batches, states)
    for (let t = 1; t <= seconds; t++) {
      const now = ring.row(t)
      stepper.values.set(before.values.subarray(before.row(t), before.row(t) + game.stateCount), now)
      const plan = planned.subarray(t * states.length, (t + 1) * states.length)
      stepper.keep(now, (s) => (s <= t ? ring.row(t - s) : NONE), plan)
    }
    return stepper.values[ring.row(seconds) + game.start]
  }

  private unclocked(game: Game): number {
    const { states, planned } = this
    const stepper = new Stepper(game, this.solution.values, this.batches, states)
    const { values } = stepper
    const worths = () => Float64Array.from(states, (state) => values[state])
    for (let pass = 0, last = worths(); pass < MAX_PASSES; pass++) {
      stepper.keep(0, () => 0, planned)
      const next = worths()
      if (next.every((worth, i) => Math.abs(worth - last[i]) <= STILL)) break
      last = next
    }
    return values[game.start]
  }

  /** The most visited states, until all others together are visited less than `SELDOM`. */
  private thatMatter(): number[] {
    const { states } = occupancyOf(this.solution)
    const met = [...states.keys()].filter((state) => state >= TERMINALS && states[state] > 0)
    met.sort((a, b) => states[b] - states[a])
    let left = met.reduce((sum, state) => sum + states[state], 0)
    const enough = met.findIndex((state) => (left -= states[state]) < SELDOM)
    return met.slice(0, enough + 1).sort((a, b) => a - b)
  }
}
