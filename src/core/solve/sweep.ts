import { NONE, type Game } from '../game/game'
import type { Dealer } from './deal'
import { BLOCK } from './blockPlan'
import { valueOfAction } from './valueOfAction'
import type { ValueTable } from './valueTable'

/** Room that `sweep` works in; `ahead` holds what `lookAhead` found for the block that `t` is in. */
export interface Workspace {
  dealer: Dealer
  /** One value an action. */
  fresh: Float64Array
  ahead?: Float64Array
}

/**
 * One step back in time: writes the values of the states of `groups`, in their order, with t seconds left.
 *
 * The states of a position differ in the one action that has just stalled, so the two best moves of the group serve
 * them all, and the stalled one is valued again by what it loses. `inBlock` is t's place in the block of `ahead`.
 */
export function sweep(
  game: Game,
  table: ValueTable,
  room: Workspace,
  t: number,
  groups: Int32Array,
  inBlock = 0,
): void {
  const { groupStates, groupActions, groupIsReaction, groupWorth, stateStalled, stateLoss, outcomes } = game
  const { actionSeconds, actionToll, actionAlive, actionLanding, actionNothing } = game
  const { values, stride } = table
  const { fresh, ahead, dealer } = room
  const column = table.column(t)
  const before = table.column(t - 1)
  for (let i = 0; i < groups.length; i++) {
    const g = groups[i]
    const isReaction = groupIsReaction[g]
    const wait = groupActions[g]
    const end = groupActions[g + 1]
    let best = -Infinity
    let second = -Infinity
    let bestAction = NONE
    for (let a = isReaction ? wait : wait + 1; a < end; a++) {
      const seconds = actionSeconds[a]
      if (seconds > t) continue
      const value =
        ahead !== undefined && seconds >= BLOCK
          ? ahead[a * BLOCK + inBlock]
          : valueOfAction(game, table, dealer, a, t - seconds)
      fresh[a] = value
      if (value > best) {
        second = best
        best = value
        bestAction = a
      } else if (value > second) second = value
    }
    const firstState = groupStates[g]
    if (isReaction) {
      values[firstState * stride + column] = bestAction === NONE ? groupWorth[g] : best
      continue
    }
    const toll = actionToll[wait]
    const alive = actionAlive[wait]
    const disturbed = outcomes[wait] < outcomes[wait + 1]
    const lastState = groupStates[g + 1]
    for (let state = firstState; state < lastState; state++) {
      const stay = values[state * stride + before]
      let value = toll + alive * (disturbed ? afterWaiting(game, table, dealer, wait, before, stay) : stay)
      const stalled = stateStalled[state]
      const others = stalled === bestAction && stalled !== NONE ? second : best
      if (others > value) value = others
      if (stalled !== NONE && actionSeconds[stalled] <= t) {
        const loss = stateLoss[state]
        const then = table.column(t - actionSeconds[stalled])
        const nothing = actionNothing[stalled]
        const idle = values[(nothing === NONE ? state : nothing) * stride + then]
        const landed = values[actionLanding[stalled] * stride + then]
        const again = fresh[stalled] + actionAlive[stalled] * loss * (idle - landed)
        if (again > value) value = again
      }
      values[state * stride + column] = value
    }
  }
}

/** What comes of a second of waiting in which they may do something unprompted; `stay`: the value of nothing happening. */
export function afterWaiting(
  game: Game,
  table: ValueTable,
  dealer: Dealer,
  wait: number,
  column: number,
  stay: number,
): number {
  const { values, stride } = table
  const from = game.outcomes[wait]
  const to = game.outcomes[wait + 1]
  const mass = game.actionMass[wait]
  const undisturbed = (1 - mass) * stay
  if (game.scenario.sharpness > 0) return undisturbed + dealer.deal(values, stride, column, from, to, mass, stay)
  let sum = undisturbed
  for (let o = from; o < to; o++) sum += game.outcomeChance[o] * values[game.outcomeState[o] * stride + column]
  return sum
}
