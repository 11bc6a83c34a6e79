/*
 * The equations of a game, one second at a time. AssemblyScript (TypeScript's syntax, WebAssembly's types), because nearly
 * all of the time that an answer takes is spent here. `npm run kernel` compiles it.
 *
 * The host (src/core/solve/kernel.ts) lays arrays into memory and sets the address of each; what they hold is said at
 * `Batches`, `Chances` and `Game`. Loops run over what is alike, and choose without branching wherever that can be: a
 * mispredicted branch costs as much as all else that is done for an action. That is what the pairs of numbers (f64x2) are
 * for, which have a maximum without a branch; mostly both are the same.
 */

export let sharpness: f64 = 0
/** Addresses, by the names of `Batches`. */
export let batches: usize = 0
export let batchesEnd: usize = 0
export let actions: usize = 0
export let places: usize = 0
export let firsts: usize = 0
export let outcomeState: usize = 0
export let dealtState: usize = 0
export let dealtNothing: usize = 0
export let repeatState: usize = 0
export let landing: usize = 0
export let idle: usize = 0
export let groups: usize = 0
export let groupsEnd: usize = 0
export let moves: usize = 0
export let unprompted: usize = 0
export let unpromptedState: usize = 0
export let stalled: usize = 0
/** Addresses, by the names of `Chances`. */
export let outcomeChance: usize = 0
export let dealtBound: usize = 0
export let dealtMass: usize = 0
export let weight: usize = 0
export let unpromptedChance: usize = 0
export let unpromptedMass: usize = 0
/** Addresses, by the names of `Game`. */
export let groupStates: usize = 0
export let groupActions: usize = 0
export let groupIsReaction: usize = 0
export let groupWorth: usize = 0
export let stateGroup: usize = 0
export let reached: usize = 0
export let actionLike: usize = 0
export let actionSeconds: usize = 0
export let actionToll: usize = 0
export let actionAlive: usize = 0
/** All rows of values, a ring; and by seconds, the address of the row that lies so far behind, 0 where time is up. */
export let values: usize = 0
export let rowBehind: usize = 0
/** By action: its value where it has not just stalled; by state: that of the move that just stalled. -Infinity: no time. */
export let fresh: usize = 0
export let again: usize = 0
/** By state: the best action, written by `record`. */
export let policy: usize = 0
/** States in which `keep` does what is planned there, NONE to do nothing. */
export let kept: usize = 0
export let keptEnd: usize = 0
export let planned: usize = 0

const NONE: i32 = -1
/** Actions worth as much, but for rounding. */
const TIE: f64 = 1e-12

function int(row: usize, i: i32): i32 {
  return load<i32>(row + ((<usize>i) << 2))
}

function real(row: usize, i: i32): f64 {
  return load<f64>(row + ((<usize>i) << 3))
}

/** A number, as a pair. */
function pair(row: usize, i: i32): v128 {
  return v128.load64_splat(row + ((<usize>i) << 3))
}

function one(pair: v128): f64 {
  return f64x2.extract_lane(pair, 0)
}

function put(row: usize, i: i32, value: f64): void {
  store<f64>(row + ((<usize>i) << 3), value)
}

/** Chance times value. */
function worth(row: usize, o: i32): f64 {
  return real(outcomeChance, o) * real(row, int(outcomeState, o))
}

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
}

/** Values the moves of a batch. Written out for the usual widths, where a loop would be mispredicted. */
function valueBatch(batch: usize, row: usize): void {
  const width = int(batch, 1)
  const end = int(batch, 5)
  let o = int(batch, 6)
  let i = int(batch, 3)
  if (width == 1) {
    for (; i < end; i++, o++) value(i, worth(row, o))
  } else if (width == 2) {
    for (; i < end; i++, o += 2) value(i, worth(row, o) + worth(row, o + 1))
  } else if (width == 3) {
    for (; i < end; i++, o += 3) value(i, worth(row, o) + worth(row, o + 1) + worth(row, o + 2))
  } else if (width == 4) {
    for (; i < end; i++, o += 4) {
      value(i, worth(row, o) + worth(row, o + 1) + (worth(row, o + 2) + worth(row, o + 3)))
    }
  } else {
    for (; i < end; i++) {
      let sum: f64 = 0
      for (const stop = o + width; o < stop; o++) sum += worth(row, o)
      value(i, sum)
    }
  }
}

/** Gives a move its value, by what comes of it. */
function value(place: i32, sum: f64): void {
  const a = int(actions, place)
  put(fresh, a, real(actionToll, a) + sum)
}

/** Adds what a sharp defender makes of the reactions to the moves of a batch. */
function dealBatch(batch: usize, row: usize): void {
  const count = int(batch, 2)
  const end = int(batch, 5)
  let from = int(batch, 7)
  for (let i = int(batch, 3); i < end; i++, from += count) {
    const a = int(actions, i)
    const nothing = real(row, int(dealtNothing, i))
    put(fresh, a, real(fresh, a) + deal(dealtState, dealtBound, row, from, from + count, real(dealtMass, i), nothing))
  }
}

/**
 * What some reactions come to, dealt out worst for us first: a fractional knapsack. Where `Dealer` fills it, this takes its
 * dual (Dantzig 1957): the best price of chance, which is among the values, so that nothing is sorted. Two prices at once.
 */
function deal(states: usize, bounds: usize, row: usize, from: i32, to: i32, mass: f64, nothing: f64): f64 {
  let price = f64x2(nothing, real(row, int(states, from)))
  let best = priced(states, bounds, row, from, to, mass, nothing, price)
  for (let j = from + 1; j < to; j += 2) {
    price = f64x2(real(row, int(states, j)), real(row, int(states, min(j + 1, to - 1))))
    best = f64x2.pmax(best, priced(states, bounds, row, from, to, mass, nothing, price))
  }
  return one(f64x2.pmax(best, v128.shuffle<f64>(best, best, 1, 0)))
}

/** The dual's worth at some prices: all of the mass at that price, less what each share gains that is worth less. */
function priced(
  states: usize,
  bounds: usize,
  row: usize,
  from: i32,
  to: i32,
  mass: f64,
  nothing: f64,
  price: v128,
): v128 {
  const zero = f64x2.splat(0)
  const spared = f64x2.mul(f64x2.splat(sharpness), f64x2.pmax(zero, f64x2.sub(price, f64x2.splat(nothing))))
  let total = f64x2.mul(f64x2.splat(mass), f64x2.sub(price, spared))
  for (let i = from; i < to; i++) {
    const less = f64x2.pmax(zero, f64x2.sub(price, pair(row, int(states, i))))
    total = f64x2.sub(total, f64x2.mul(pair(bounds, i), less))
  }
  return total
}

/** Values the moves of a batch that can have just stalled, as they are then. */
function valueAgain(batch: usize, row: usize): void {
  const end = int(batch, 5)
  for (let i = int(batch, 4); i < end; i++) {
    const lost = real(weight, i) * (real(row, int(idle, i)) - real(row, int(landing, i)))
    put(again, int(repeatState, i), real(fresh, int(actions, i)) + lost)
  }
}

/**
 * Each state takes the best. The states of a group differ in one action only, the one that just stalled, so its two best
 * serve them all.
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

/** What a second of waiting comes to in which they may do something unprompted; `stay`: the value of nothing happening. */
function disturbed(g: i32, before: usize, stay: f64): f64 {
  const from = int(unprompted, g)
  const to = int(unprompted, g + 1)
  const mass = real(unpromptedMass, g)
  let sum = (1 - mass) * stay
  if (sharpness > 0) return sum + deal(unpromptedState, unpromptedChance, before, from, to, mass, stay)
  for (let o = from; o < to; o++) sum += real(unpromptedChance, o) * real(before, int(unpromptedState, o))
  return sum
}

/** What waiting for a second is worth in a state of group g. */
function waiting(g: i32, state: i32): f64 {
  const before = <usize>int(rowBehind, 1)
  const wait = int(groupActions, g)
  const stay = real(before, state)
  const isDisturbed = int(unprompted, g) < int(unprompted, g + 1)
  return real(actionToll, wait) + real(actionAlive, wait) * (isDisturbed ? disturbed(g, before, stay) : stay)
}

/**
 * Writes the best action of each state, of the row at `now` that was just stepped to: the first within `TIE` of the best,
 * waiting or conceding before the others; NONE where none fits, and where an exchange from the start never comes.
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
}

/** What one action is worth in a state of its group, where there is time for it. */
function valueIn(state: i32, a: i32): f64 {
  const i = int(places, a)
  if (i == NONE) return waiting(int(stateGroup, state), state)
  const row = <usize>int(rowBehind, int(actionSeconds, a))
  let sum = real(actionToll, a)
  const end = int(firsts, 2 * i + 2)
  for (let o = int(firsts, 2 * i); o < end; o++) sum += worth(row, o)
  const from = int(firsts, 2 * i + 1)
  const to = int(firsts, 2 * i + 3)
  if (from < to) sum += deal(dealtState, dealtBound, row, from, to, real(dealtMass, i), real(row, int(dealtNothing, i)))
  if (a != int(stalled, state)) return sum
  return sum + real(weight, i) * (real(row, int(idle, i)) - real(row, int(landing, i)))
}
