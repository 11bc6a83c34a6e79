import { NONE, type Game } from '../game/game'
import { Dealer } from './deal'
import { blockGroup, lookAhead } from './block'
import { BLOCK, planBlocks, type BlockPlan } from './blockPlan'
import { afterWaiting, sweep, type Workspace } from './sweep'
import { valueOfAction } from './valueOfAction'
import type { ValueTable } from './valueTable'

/** Steps back through a table of values, and answers questions about single actions from it. */
export class Evaluator {
  readonly dealer: Dealer
  private readonly room: Workspace
  private readonly all: Int32Array
  private plan?: BlockPlan

  constructor(
    readonly game: Game,
    readonly table: ValueTable,
  ) {
    const { sharpness } = game.scenario
    this.dealer = new Dealer(game.outcomeState, game.outcomeChance, sharpness)
    this.all = Int32Array.from({ length: game.groupCount }, (_, g) => g)
    this.room = { dealer: this.dealer, fresh: new Float64Array(game.actionSeconds.length) }
  }

  /** Values all states with t to t + BLOCK - 1 seconds left; the table must hold these columns. */
  block(t: number): void {
    const { game, table, room } = this
    const { atOnce, bySecond } = (this.plan ??= planBlocks(game))
    const ahead = (room.ahead ??= new Float64Array(game.actionSeconds.length * BLOCK))
    for (let i = 0; i < bySecond.length; i++) lookAhead(game, table, room, ahead, bySecond[i], t)
    for (let i = 0; i < atOnce.length; i++) blockGroup(game, table, room, ahead, atOnce[i], t)
    for (let j = 0; j < BLOCK; j++) sweep(game, table, room, t + j, bySecond, j)
  }

  /** Values the states of some groups, in their order, with t seconds left; without `groups`, of all. */
  second(t: number, groups = this.all): void {
    const { dealer, fresh } = this.room
    sweep(this.game, this.table, { dealer, fresh }, t, groups)
  }

  /**
   * Value of action `a` of the state's group, as it is in this state with t seconds left;
   * -Infinity where it does not fit or can no longer be tried.
   */
  actionInState(a: number, t: number, state: number): number {
    const { game, table, dealer } = this
    const seconds = game.actionSeconds[a]
    if (seconds > t) return -Infinity
    if (this.isWaiting(a, state)) {
      const stay = table.at(state, t - 1)
      return game.actionToll[a] + game.actionAlive[a] * afterWaiting(game, table, dealer, a, table.column(t - 1), stay)
    }
    const fresh = valueOfAction(game, table, dealer, a, t - seconds)
    return a === game.stateStalled[state] ? this.repeated(a, t - seconds, state, fresh) : fresh
  }

  /** True for the first action of a position's states. */
  isWaiting(a: number, state: number): boolean {
    const g = this.game.stateGroup[state]
    return a === this.game.groupActions[g] && !this.game.groupIsReaction[g]
  }

  private repeated(a: number, left: number, state: number, fresh: number): number {
    const { game, table } = this
    const loss = game.stateLoss[state]
    if (Number.isNaN(loss)) return -Infinity
    const nothing = game.actionNothing[a]
    const idle = table.at(nothing === NONE ? state : nothing, left)
    return fresh + game.actionAlive[a] * loss * (idle - table.at(game.actionLanding[a], left))
  }

  /** First action within `tolerance` of the best in a state with t seconds left, or NONE where none fits. */
  bestAction(t: number, state: number, tolerance = 1e-12): number {
    const { game } = this
    const g = game.stateGroup[state]
    const first = game.groupActions[g]
    const values: number[] = []
    let best = -Infinity
    for (let a = first; a < game.groupActions[g + 1]; a++) {
      const value = this.actionInState(a, t, state)
      values.push(value)
      if (value > best) best = value
    }
    if (best === -Infinity) return NONE
    return first + values.findIndex((value) => value >= best - tolerance)
  }
}
