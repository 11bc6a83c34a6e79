import { sharpness } from './memory'
import { int, one, pair, real } from './read'

/**
 * What some reactions come to, dealt out worst for us first: a fractional knapsack. Where `Dealer` fills it, this takes
 * its dual (Dantzig 1957): the best price of chance, which is among the values, so that nothing is sorted. Two prices
 * at once.
 */
export function deal(states: usize, bounds: usize, row: usize, from: i32, to: i32, mass: f64, nothing: f64): f64 {
  let price = f64x2(nothing, real(row, int(states, from)))
  let best = priced(states, bounds, row, from, to, mass, nothing, price)
  for (let j = from + 1; j < to; j += 2) {
    price = f64x2(real(row, int(states, j)), real(row, int(states, min(j + 1, to - 1))))
    best = f64x2.pmax(best, priced(states, bounds, row, from, to, mass, nothing, price))
  }
  return one(f64x2.pmax(best, v128.shuffle<f64>(best, best, 1, 0)))
}

/** The same of what must be one of these, and cannot be nothing; all of it is 1. Without sharpness, their mean. */
export function dealAll(states: usize, bounds: usize, row: usize, from: i32, to: i32): f64 {
  if (sharpness == 0) {
    let sum: f64 = 0
    for (let i = from; i < to; i++) sum += real(bounds, i) * real(row, int(states, i))
    return sum
  }
  let best = f64x2.splat(-Infinity)
  for (let j = from; j < to; j += 2) {
    const price = f64x2(real(row, int(states, j)), real(row, int(states, min(j + 1, to - 1))))
    best = f64x2.pmax(best, priced(states, bounds, row, from, to, 1, Infinity, price))
  }
  return one(f64x2.pmax(best, v128.shuffle<f64>(best, best, 1, 0)))
}

/** The dual's worth at some prices: all of the mass at that price, less what each share gains that is worth less. */
export function priced(
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
