import { NONE, OUTCOME } from '../game/game'
import type { Evaluator } from './evaluate'

/** The ways in which an action can go: the outcome's index (NONE for staying put), where to, and its chance. */
export class Ways {
  count = 0
  /** Where the reactions begin, each with its way whatever its chance; they run on for as many as the action has. */
  reactionsAt = 0
  outcome = new Int32Array(16)
  state = new Int32Array(16)
  chance = new Float64Array(16)

  add(outcome: number, state: number, chance: number): void {
    if (this.count === this.outcome.length) this.grow()
    this.outcome[this.count] = outcome
    this.state[this.count] = state
    this.chance[this.count++] = chance
  }

  private grow(): void {
    const { outcome, state, chance } = this
    this.outcome = new Int32Array(2 * this.count)
    this.state = new Int32Array(2 * this.count)
    this.chance = new Float64Array(2 * this.count)
    this.outcome.set(outcome)
    this.state.set(state)
    this.chance.set(chance)
  }
}

/**
 * How action `a`, taken in `state` with t seconds left and not interrupted, goes against this defender; written into
 * `ways`. The chances sum to 1.
 */
export function follow(evaluator: Evaluator, a: number, t: number, state: number, ways: Ways): void {
  const { game } = evaluator
  const waits = evaluator.isWaiting(a, state)
  const to = game.outcomes[a + 1]
  const reactions = game.reactionsFrom[a]
  const nothing = game.actionNothing[a] === NONE ? state : game.actionNothing[a]
  const loss = a === game.stateStalled[state] ? game.stateLoss[state] : 0
  const slips = game.actionSlips[a]
  let idle = loss * (1 - slips)
  let slipped = loss * slips
  let stalls: number = NONE
  let slip: number = NONE
  ways.count = 0
  for (let o = game.outcomes[a]; o < reactions; o++) {
    const kind = game.meaning.outcomeKind[o]
    if (kind === OUTCOME.stalls) {
      stalls = o
      idle += game.outcomeChance[o]
    } else if (kind === OUTCOME.slips) {
      slip = o
      slipped += game.outcomeChance[o]
    } else ways.add(o, game.outcomeState[o], game.outcomeChance[o] - (kind === OUTCOME.lands ? loss : 0))
  }
  if (slipped > 0) ways.add(slip, game.actionSlipsTo[a], slipped)
  if (waits) idle = 1 - game.actionMass[a]
  ways.reactionsAt = ways.count
  idle += react(evaluator, a, t, waits ? state : nothing, reactions, to, ways)
  if (idle > 0) ways.add(stalls, waits ? state : nothing, idle)
}

/** Steps into the reactions; returns how much of their mass comes to nothing. */
function react(
  evaluator: Evaluator,
  a: number,
  t: number,
  nothing: number,
  from: number,
  to: number,
  ways: Ways,
): number {
  const { game, table, dealer } = evaluator
  if (from === to) return 0
  if (game.scenario.sharpness === 0) {
    for (let o = from; o < to; o++) ways.add(o, game.outcomeState[o], game.outcomeChance[o])
    return 0
  }
  const left = t - game.actionSeconds[a]
  const nothingValue = table.at(nothing, left)
  dealer.deal(table.values, table.row(left), from, to, game.actionMass[a], nothingValue)
  for (let o = from; o < to; o++) ways.add(o, game.outcomeState[o], dealer.dealt[o - from])
  return dealer.nothing
}
