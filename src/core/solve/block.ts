import { NONE, type Game } from '../game/game'
import { BLOCK } from './blockPlan'
import { afterWaiting, type Workspace } from './sweep'
import { valueOfAction } from './valueOfAction'
import type { ValueTable } from './valueTable'

/*
 * The fast path with a clock: four seconds of a group at once. The times share every load of an outcome, and their
 * four sums run side by side, where a single one would wait for each addition. Everything is unrolled by hand
 * because the engine does not do it.
 */

/** Values of `BLOCK` consecutive times of one action. */
const four = new Float64Array(BLOCK)

/** Writes into `four` the values of action `a` for the times t to t + 3; -Infinity where it does not fit. */
function valueFour(game: Game, table: ValueTable, room: Workspace, a: number, t: number): void {
  const left = t - game.actionSeconds[a]
  if (left < 0) {
    for (let j = 0; j < BLOCK; j++) {
      four[j] = left + j < 0 ? -Infinity : valueOfAction(game, table, room.dealer, a, left + j)
    }
    return
  }
  const { outcomeState, outcomeChance } = game
  const { values, stride } = table
  const column = left - table.base
  const to = game.outcomes[a + 1]
  const end = game.scenario.sharpness > 0 ? game.reactionsFrom[a] : to
  let s0 = 0
  let s1 = 0
  let s2 = 0
  let s3 = 0
  for (let o = game.outcomes[a]; o < end; o++) {
    const chance = outcomeChance[o]
    const at = outcomeState[o] * stride + column
    s0 += chance * values[at]
    s1 += chance * values[at + 1]
    s2 += chance * values[at + 2]
    s3 += chance * values[at + 3]
  }
  if (end < to) {
    const { dealer } = room
    const mass = game.actionMass[a]
    const nothing = game.actionNothing[a] * stride + column
    s0 += dealer.deal(values, stride, column, end, to, mass, values[nothing])
    s1 += dealer.deal(values, stride, column + 1, end, to, mass, values[nothing + 1])
    s2 += dealer.deal(values, stride, column + 2, end, to, mass, values[nothing + 2])
    s3 += dealer.deal(values, stride, column + 3, end, to, mass, values[nothing + 3])
  }
  const toll = game.actionToll[a]
  const alive = game.actionAlive[a]
  four[0] = toll + alive * s0
  four[1] = toll + alive * s1
  four[2] = toll + alive * s2
  four[3] = toll + alive * s3
}

/** Values the long actions of group `g` for the block at t, for `sweep` to take them from `ahead`. */
export function lookAhead(
  game: Game,
  table: ValueTable,
  room: Workspace,
  ahead: Float64Array,
  g: number,
  t: number,
): void {
  for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) {
    if (game.actionSeconds[a] < BLOCK) continue
    valueFour(game, table, room, a, t)
    ahead.set(four, a * BLOCK)
  }
}

const best = new Float64Array(BLOCK)
const second = new Float64Array(BLOCK)
const bestAction = new Int32Array(BLOCK)
/** Best of a state's moves; waiting is compared with it second by second. */
const others = new Float64Array(BLOCK)

/** Values the states of group `g` with t to t + 3 seconds left; the group must be one that can be done at once. */
export function blockGroup(
  game: Game,
  table: ValueTable,
  room: Workspace,
  ahead: Float64Array,
  g: number,
  t: number,
): void {
  const isReaction = game.groupIsReaction[g] === 1
  const wait = game.groupActions[g]
  const end = game.groupActions[g + 1]
  best.fill(-Infinity)
  second.fill(-Infinity)
  bestAction.fill(NONE)
  for (let a = isReaction ? wait : wait + 1; a < end; a++) {
    valueFour(game, table, room, a, t)
    for (let j = 0; j < BLOCK; j++) {
      const value = four[j]
      if (!isReaction) ahead[a * BLOCK + j] = value
      if (value > best[j]) {
        second[j] = best[j]
        best[j] = value
        bestAction[j] = a
      } else if (value > second[j]) second[j] = value
    }
  }
  if (isReaction) return writeReaction(game, table, g, t)
  const disturbed = game.outcomes[wait] < game.outcomes[wait + 1]
  for (let state = game.groupStates[g]; state < game.groupStates[g + 1]; state++) {
    if (game.stateStalled[state] === NONE) others.set(best)
    else withoutStalled(game, table, ahead, state, t)
    if (disturbed) writeDisturbed(game, table, room, wait, state, t)
    else writeWaiting(game, table, wait, state, t)
  }
}

function writeReaction(game: Game, table: ValueTable, g: number, t: number): void {
  const at = game.groupStates[g] * table.stride + t - table.base
  for (let j = 0; j < BLOCK; j++) table.values[at + j] = bestAction[j] === NONE ? game.groupWorth[g] : best[j]
}

/** The best moves of a state in which one of them has just stalled. */
function withoutStalled(game: Game, table: ValueTable, ahead: Float64Array, state: number, t: number): void {
  const { values, stride, base } = table
  const stalled = game.stateStalled[state]
  const loss = game.actionAlive[stalled] * game.stateLoss[state]
  const left = t - game.actionSeconds[stalled]
  const nothing = game.actionNothing[stalled]
  const idle = (nothing === NONE ? state : nothing) * stride + left - base
  const landed = game.actionLanding[stalled] * stride + left - base
  for (let j = 0; j < BLOCK; j++) {
    others[j] = stalled === bestAction[j] ? second[j] : best[j]
    if (left + j < 0) continue
    const again = ahead[stalled * BLOCK + j] + loss * (values[idle + j] - values[landed + j])
    if (again > others[j]) others[j] = again
  }
}

function writeWaiting(game: Game, table: ValueTable, wait: number, state: number, t: number): void {
  const { values } = table
  const toll = game.actionToll[wait]
  const alive = game.actionAlive[wait]
  const at = state * table.stride + t - table.base
  let value = values[at - 1]
  for (let j = 0; j < BLOCK; j++) {
    value = toll + alive * value
    if (others[j] > value) value = others[j]
    values[at + j] = value
  }
}

function writeDisturbed(game: Game, table: ValueTable, room: Workspace, wait: number, state: number, t: number): void {
  const { values } = table
  const column = t - table.base
  const at = state * table.stride + column
  for (let j = 0; j < BLOCK; j++) {
    const waited = afterWaiting(game, table, room.dealer, wait, column + j - 1, values[at + j - 1])
    const value = game.actionToll[wait] + game.actionAlive[wait] * waited
    values[at + j] = others[j] > value ? others[j] : value
  }
}
