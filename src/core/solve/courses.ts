import { NONE } from '../game/game'
import type { Evaluator } from './evaluate'
import { follow, Ways } from './follow'

/**
 * The action taken in each state and the ways it goes. Both stay the same for many seconds, so the ways are looked up
 * once, and the flow along them is counted in one go when they change.
 */
export class Courses {
  /** The action taken; NONE before the first. */
  readonly action: Int32Array
  /**
   * By state: the flow since the course was set, of chances that had just entered the state, and of chances that had
   * waited in it.
   */
  readonly entered: Float64Array
  readonly waited: Float64Array
  private readonly isDealt: Uint8Array
  /** Ways of a state: first[state] to end[state]; from reactions[state] on they may be dealt anew every second. */
  private readonly first: Int32Array
  private readonly end: Int32Array
  private readonly reactions: Int32Array
  private readonly outcome: Int32Array
  private readonly to: Int32Array
  private readonly share: Float64Array
  private readonly ways = new Ways()

  /** `waitedAt`: how far the chances of having waited lie behind those of having just entered. */
  constructor(
    readonly evaluator: Evaluator,
    private readonly waitedAt: number,
  ) {
    const { game } = evaluator
    this.action = new Int32Array(game.stateCount).fill(NONE)
    this.entered = new Float64Array(game.stateCount)
    this.waited = new Float64Array(game.stateCount)
    this.isDealt = new Uint8Array(game.stateCount)
    this.first = new Int32Array(game.stateCount + 1)
    this.end = new Int32Array(game.stateCount)
    this.reactions = new Int32Array(game.stateCount)
    const most = game.stateGroup.map((g) => this.mostWays(g))
    most.forEach((count, state) => (this.first[state + 1] = this.first[state] + count))
    const ways = this.first[game.stateCount]
    this.outcome = new Int32Array(ways)
    this.to = new Int32Array(ways)
    this.share = new Float64Array(ways)
  }

  /** Whether action `a` with t seconds left goes as it last did from this state. */
  isStill(state: number, a: number, t: number): boolean {
    if (this.action[state] !== a) return false
    if (!this.isDealt[state]) return true
    const { game, table, dealer } = this.evaluator
    const nothing = game.actionNothing[a] === NONE ? state : game.actionNothing[a]
    const row = table.row(t - game.actionSeconds[a])
    const from = game.reactionsFrom[a]
    const to = game.outcomes[a + 1]
    dealer.deal(table.values, row, from, to, game.actionMass[a], table.values[row + nothing])
    const at = this.reactions[state]
    for (let i = 0; i < to - from; i++) {
      if (dealer.dealt[i] * game.actionAlive[a] !== this.share[at + i]) return false
    }
    return true
  }

  /** Sets a new course; nothing has come along it yet. */
  set(state: number, a: number, t: number): void {
    const { ways, evaluator } = this
    const { game } = evaluator
    follow(evaluator, a, t, state, ways)
    const waits = evaluator.isWaiting(a, state)
    const first = this.first[state]
    this.action[state] = a
    this.entered[state] = this.waited[state] = 0
    this.isDealt[state] = game.scenario.sharpness > 0 && game.reactionsFrom[a] < game.outcomes[a + 1] ? 1 : 0
    this.end[state] = first + ways.count
    this.reactions[state] = first + ways.reactionsAt
    for (let i = 0; i < ways.count; i++) {
      this.outcome[first + i] = ways.outcome[i]
      this.to[first + i] = ways.state[i] + (waits && ways.outcome[i] === NONE ? this.waitedAt : 0)
      this.share[first + i] = ways.chance[i] * game.actionAlive[a]
    }
  }

  /** Moves the chances along the course of `state` into the row of `chances` that begins at `row`. */
  go(state: number, entered: number, waited: number, chances: Float64Array, row: number): void {
    const { to, share } = this
    this.entered[state] += entered
    this.waited[state] += waited
    const chance = entered + waited
    const end = this.end[state]
    for (let i = this.first[state]; i < end; i++) chances[row + to[i]] += chance * share[i]
  }

  /** The outcome of each way (NONE for staying put), the state that it leads to, and its share. */
  forEachWay(state: number, visit: (outcome: number, to: number, share: number) => void): void {
    for (let i = this.first[state]; i < this.end[state]; i++) visit(this.outcome[i], this.to[i], this.share[i])
  }

  private mostWays(g: number): number {
    const { groupActions, outcomes } = this.evaluator.game
    let most = 0
    for (let a = groupActions[g]; a < groupActions[g + 1]; a++) most = Math.max(most, outcomes[a + 1] - outcomes[a])
    // A move that has just stalled may stall or slip where it did neither before.
    return most + 2
  }
}
