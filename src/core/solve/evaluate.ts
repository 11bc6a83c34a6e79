import { NONE, type Game } from '../game/game'
import { Dealer } from './deal'
import { afterWaiting, valueOfAction } from './valueOfAction'
import type { ValueTable } from './valueTable'

/** Answers questions about single actions from a table of values. */
export class Evaluator {
  readonly dealer: Dealer
  private readonly sights: Dealer

  constructor(
    readonly game: Game,
    readonly table: ValueTable,
  ) {
    this.dealer = new Dealer(game.outcomeState, game.outcomeChance, game.scenario.sharpness)
    this.sights = new Dealer(game.sightState, game.sightShare, game.scenario.sharpness)
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
      return (
        game.actionToll[a] + game.actionAlive[a] * afterWaiting(game, table.values, dealer, a, table.row(t - 1), stay)
      )
    }
    const fresh = valueOfAction(game, table.values, dealer, a, table.row(t - seconds))
    return a === game.stateStalled[state] ? this.repeated(a, t - seconds, state, fresh) : fresh
  }

  /** How what is seen on an arrival is dealt with t seconds left: each sight's share, valid until the next call. */
  dealtSights(state: number, t: number): Float64Array {
    const { game, table, sights } = this
    const i = state - game.arrivalsFrom
    sights.dealAll(table.values, table.row(t), game.sights[i], game.sights[i + 1])
    return sights.dealt
  }

  /** True for the first action of a position's states, which stays there; of a match, nobody ever takes it. */
  isWaiting(a: number, state: number): boolean {
    const g = this.game.stateGroup[state]
    return a === this.game.groupActions[g] && !this.game.groupIsReaction[g]
  }

  private repeated(a: number, left: number, state: number, fresh: number): number {
    const { game, table } = this
    const loss = game.stateLoss[state]
    if (Number.isNaN(loss)) return -Infinity
    const nothing = game.actionNothing[a]
    const stays = table.at(nothing === NONE ? state : nothing, left)
    const slips = game.actionSlips[a]
    const idle = slips > 0 ? stays + slips * (table.at(game.actionSlipsTo[a], left) - stays) : stays
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
