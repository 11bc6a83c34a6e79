/*
 * The equations of a game, one second at a time. AssemblyScript (TypeScript's syntax, WebAssembly's types), because
 * nearly all of the time that an answer takes is spent here. `npm run kernel` compiles it. * The host
 * (src/core/solve/kernel.ts) lays arrays into memory and sets the address of each; what they hold is said at `Batches`,
 * `Chances` and `Game`. Loops run over what is alike, and choose without branching wherever that can be: a mispredicted
 * branch costs as much as all else that is done for an action. That is what the pairs of numbers (f64x2) are for, which
 * have a maximum without a branch; mostly both are the same.
 */

import { dealAll } from './deal'
import { dealBatch, disturbed, valueAgain, valueBatch, valueIn, waiting } from './actions'
import {
  actionAlive,
  actionLike,
  actionToll,
  again,
  arrivals,
  arrivalsEnd,
  batches,
  batchesEnd,
  fresh,
  groupActions,
  groupIsReaction,
  groups,
  groupsEnd,
  groupStates,
  groupWorth,
  kept,
  keptEnd,
  moves,
  planned,
  policy,
  reached,
  rowBehind,
  sightBound,
  sights,
  sightState,
  stalled,
  stateGroup,
  unprompted,
} from './memory'
import { int, NONE, one, pair, put, real } from './read'

export * from './memory'

/** Actions worth as much, but for rounding. */
const TIE: f64 = 1e-12

/** Writes the row of values at `now`, from those behind it. */
export function step(now: usize): void {
  for (let batch = batches; batch < batchesEnd; batch += 32) {
    const row = <usize>int(rowBehind, int(batch, 0))
    if (row == 0) continue
    valueBatch(batch, row)
    if (int(batch, 2) > 0) dealBatch(batch, row)
    valueAgain(batch, row)
  }
  takeBest(now)
  dealSights(now)
}

/** Arrivals take what they make us see, of the states of the same second. */
function dealSights(now: usize): void {
  for (let at = arrivals, i = 0; at < arrivalsEnd; at += 4, i++) {
    put(now, load<i32>(at), dealAll(sightState, sightBound, now, int(sights, i), int(sights, i + 1)))
  }
}

/**
 * Each state takes the best. The states of a group differ in one action only, the one that just stalled, so its two
 * best serve them all.
 */
function takeBest(now: usize): void {
  const before = <usize>int(rowBehind, 1)
  for (let at = groups; at < groupsEnd; at += 4) {
    const g = load<i32>(at)
    const end = int(groupActions, g + 1)
    let best = f64x2.splat(-Infinity)
    let second = best
    for (let a = int(moves, g); a < end; a++) {
      const value = pair(fresh, int(actionLike, a))
      second = f64x2.pmax(second, f64x2.pmin(best, value))
      best = f64x2.pmax(best, value)
    }
    if (load<u8>(groupIsReaction + g)) {
      put(now, int(groupStates, g), one(best) == -Infinity ? real(groupWorth, g) : one(best))
    } else {
      takeOrWait(g, now, before, best, second)
    }
  }
}

function takeOrWait(g: i32, now: usize, before: usize, best: v128, second: v128): void {
  const wait = int(groupActions, g)
  const toll = real(actionToll, wait)
  const alive = real(actionAlive, wait)
  const isDisturbed = int(unprompted, g) < int(unprompted, g + 1)
  const last = int(groupStates, g + 1)
  for (let state = int(groupStates, g); state < last; state++) {
    const stay = real(before, state)
    const waiting = f64x2.splat(toll + alive * (isDisturbed ? disturbed(g, before, stay) : stay))
    const others = v128.bitselect(second, best, f64x2.eq(pair(fresh, int(stalled, state)), best))
    put(now, state, one(f64x2.pmax(waiting, f64x2.pmax(others, pair(again, state)))))
  }
}

/**
 * Writes the best action of each state, of the row at `now` that was just stepped to: the first within `TIE` of the
 * best, waiting or conceding before the others; NONE where none fits, and where an exchange from the start never comes.
 */
export function record(now: usize): void {
  for (let at = groups; at < groupsEnd; at += 4) {
    const g = load<i32>(at)
    const isReaction = load<u8>(groupIsReaction + g)
    const last = int(groupStates, g + 1)
    for (let state = int(groupStates, g); state < last; state++) {
      if (!load<u8>(reached + state)) continue
      const enough = real(now, state) - TIE
      const waits = !isReaction && waiting(g, state) >= enough
      store<i32>(policy + ((<usize>state) << 2), waits ? int(groupActions, g) : firstEnough(g, state, enough))
    }
  }
}

/** The first action in file order, waiting aside, that is worth enough in a state of the group. */
function firstEnough(g: i32, state: i32, enough: f64): i32 {
  const end = int(groupActions, g + 1)
  const own = int(stalled, state)
  for (let a = int(moves, g); a < end; a++) {
    const value = a == own ? real(again, state) : real(fresh, int(actionLike, a))
    if (value > -Infinity && value >= enough) return a
  }
  return NONE
}

/** Writes what some states are worth by what is planned in them, into the row at `now`. */
export function keep(now: usize): void {
  for (let at = kept, plan = planned; at < keptEnd; at += 4, plan += 4) {
    const state = load<i32>(at)
    const action = load<i32>(plan)
    put(now, state, action == NONE ? real(groupWorth, int(stateGroup, state)) : valueIn(state, action))
  }
  dealSights(now)
}
