import { NONE, TERMINALS, type Game } from '../game/game'
import { Evaluator } from './evaluate'
import { occupancyOf } from './occupancy'
import { fullClock, tieTolerance, type Solution } from './solution'
import { ValueTable } from './valueTable'

/** Without a clock: passes go on until none changes a value by more than this. */
const STILL = 1e-6
const MAX_PASSES = 20_000
/** So often in an exchange all states together come up that are left as they were. */
const SELDOM = 0.01

/**
 * What a plan is worth in games of the same shape in which it is kept although something else may be better there: its
 * value, by evaluating it backwards (policy evaluation, Puterman 2005, 4.2 and 6.4). Where it seldom comes, the value is
 * taken to be what it was; that is off by at most `SELDOM` times how far values differ there.
 */
export class KeptPlan {
  /** What comes up under the plan. */
  private readonly states: Int32Array
  private readonly isPlain: Uint8Array

  /** With a clock the solution must have kept every second. */
  constructor(private readonly solution: Solution) {
    this.states = Int32Array.from(this.thatMatter())
    this.isPlain = plainActions(solution.game)
  }

  /** The start's value in a game that differs in chances only. */
  worthIn(game: Game): number {
    const { seconds } = this.solution
    if (game.start < TERMINALS) return this.solution.values[game.start]
    return seconds === null ? this.unclocked(game) : this.clocked(game, seconds)
  }

  private clocked(game: Game, seconds: number): number {
    const table = new ValueTable(game, Math.min(seconds, game.maxSeconds) + 1)
    const evaluator = new Evaluator(game, table)
    const { values } = table
    const { states, isPlain } = this
    const { outcomes, outcomeState, outcomeChance, actionSeconds, actionToll, actionAlive, stateStalled } = game
    const policy = this.solution.policy!
    const before = this.solution.evaluator.table
    for (let t = 1; t <= seconds; t++) {
      const now = table.row(t)
      values.set(before.values.subarray(before.row(t), before.row(t) + game.stateCount), now)
      for (let i = 0; i < states.length; i++) {
        const state = states[i]
        const a = policy[t * game.stateCount + state]
        if (a === NONE || !isPlain[a] || stateStalled[state] === a) {
          values[now + state] = this.value(evaluator, a, t, state)
          continue
        }
        const row = table.row(t - actionSeconds[a])
        let sum = 0
        for (let o = outcomes[a]; o < outcomes[a + 1]; o++) sum += outcomeChance[o] * values[row + outcomeState[o]]
        values[now + state] = actionToll[a] + actionAlive[a] * sum
      }
    }
    return table.at(game.start, seconds)
  }

  private unclocked(game: Game): number {
    const table = new ValueTable(game, 1)
    table.values.set(this.solution.values)
    const evaluator = new Evaluator(game, table)
    const t = fullClock(this.solution)
    const actions = Array.from(this.states, (state) => this.actionAt(t, state))
    for (let pass = 0, most = Infinity; most > STILL && pass < MAX_PASSES; pass++) {
      most = 0
      for (let i = 0; i < actions.length; i++) {
        const state = this.states[i]
        const value = this.value(evaluator, actions[i], t, state)
        most = Math.max(most, Math.abs(value - table.values[state]))
        table.values[state] = value
      }
    }
    return table.values[game.start]
  }

  private value(evaluator: Evaluator, action: number, t: number, state: number): number {
    const { game } = evaluator
    return action === NONE ? game.groupWorth[game.stateGroup[state]] : evaluator.actionInState(action, t, state)
  }

  private actionAt(t: number, state: number): number {
    const { policy, game, evaluator } = this.solution
    return policy ? policy[t * game.stateCount + state] : evaluator.bestAction(t, state, tieTolerance(this.solution))
  }

  /** Those that an exchange comes to most, until all others together are met seldom. */
  private thatMatter(): number[] {
    const { states } = occupancyOf(this.solution)
    const met = [...states.keys()].filter((state) => state >= TERMINALS && states[state] > 0)
    met.sort((a, b) => states[b] - states[a])
    let left = met.reduce((sum, state) => sum + states[state], 0)
    const enough = met.findIndex((state) => (left -= states[state]) < SELDOM)
    return met.slice(0, enough + 1).sort((a, b) => a - b)
  }
}

/** Actions whose value is the sum over their outcomes: not waiting, and nothing that a sharp defender chooses. */
function plainActions(game: Game): Uint8Array {
  const sharp = game.scenario.sharpness > 0
  const isPlain = Uint8Array.from(game.actionSeconds, (_, a) => (sharp && game.reactionsFrom[a] < game.outcomes[a + 1] ? 0 : 1)) // prettier-ignore
  for (let g = 0; g < game.groupCount; g++) if (!game.groupIsReaction[g]) isPlain[game.groupActions[g]] = 0
  return isPlain
}
