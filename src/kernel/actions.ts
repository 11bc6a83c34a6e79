import { deal } from './deal'
import {
  actionAlive,
  actions,
  actionSeconds,
  actionToll,
  again,
  dealtBound,
  dealtMass,
  dealtNothing,
  dealtState,
  firsts,
  fresh,
  groupActions,
  idle,
  landing,
  outcomeChance,
  outcomeState,
  places,
  repeatState,
  rowBehind,
  sharpness,
  slipsTo,
  slipWeight,
  stalled,
  stateGroup,
  unprompted,
  unpromptedChance,
  unpromptedMass,
  unpromptedState,
  weight,
} from './memory'
import { int, NONE, put, real } from './read'

/** Values the moves of a batch. Written out for the usual widths, where a loop would be mispredicted. */
export function valueBatch(batch: usize, row: usize): void {
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
export function dealBatch(batch: usize, row: usize): void {
  const count = int(batch, 2)
  const end = int(batch, 5)
  let from = int(batch, 7)
  for (let i = int(batch, 3); i < end; i++, from += count) {
    const a = int(actions, i)
    const nothing = real(row, int(dealtNothing, i))
    put(fresh, a, real(fresh, a) + deal(dealtState, dealtBound, row, from, from + count, real(dealtMass, i), nothing))
  }
}

/** Values the moves of a batch that can have just stalled, as they are then. */
export function valueAgain(batch: usize, row: usize): void {
  const end = int(batch, 5)
  for (let i = int(batch, 4); i < end; i++) {
    put(again, int(repeatState, i), real(fresh, int(actions, i)) + lostAgain(i, row))
  }
}

/** What a move is worth more or less where it has just stalled: what lands less stalls or slips instead. */
function lostAgain(place: i32, row: usize): f64 {
  const stays = real(row, int(idle, place))
  const slipped = real(slipWeight, place) * (real(row, int(slipsTo, place)) - stays)
  return real(weight, place) * (stays - real(row, int(landing, place))) + slipped
}

/** Chance times value. */
function worth(row: usize, o: i32): f64 {
  return real(outcomeChance, o) * real(row, int(outcomeState, o))
}

/**
 * What a second of waiting comes to in which they may do something unprompted; `stay`: the value of nothing happening.
 */
export function disturbed(g: i32, before: usize, stay: f64): f64 {
  const from = int(unprompted, g)
  const to = int(unprompted, g + 1)
  const mass = real(unpromptedMass, g)
  let sum = (1 - mass) * stay
  if (sharpness > 0) return sum + deal(unpromptedState, unpromptedChance, before, from, to, mass, stay)
  for (let o = from; o < to; o++) sum += real(unpromptedChance, o) * real(before, int(unpromptedState, o))
  return sum
}

/** What waiting for a second is worth in a state of group g. */
export function waiting(g: i32, state: i32): f64 {
  const before = <usize>int(rowBehind, 1)
  const wait = int(groupActions, g)
  const stay = real(before, state)
  const isDisturbed = int(unprompted, g) < int(unprompted, g + 1)
  return real(actionToll, wait) + real(actionAlive, wait) * (isDisturbed ? disturbed(g, before, stay) : stay)
}

/** What one action is worth in a state of its group, where there is time for it. */
export function valueIn(state: i32, a: i32): f64 {
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
  return sum + lostAgain(i, row)
}
