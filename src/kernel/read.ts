/* How what lies in memory is read and written, by the address of its row and its number there. */

export const NONE: i32 = -1

export function int(row: usize, i: i32): i32 {
  return load<i32>(row + ((<usize>i) << 2))
}

export function real(row: usize, i: i32): f64 {
  return load<f64>(row + ((<usize>i) << 3))
}

/** A number, as a pair. */
export function pair(row: usize, i: i32): v128 {
  return v128.load64_splat(row + ((<usize>i) << 3))
}

export function one(pair: v128): f64 {
  return f64x2.extract_lane(pair, 0)
}

export function put(row: usize, i: i32, value: f64): void {
  store<f64>(row + ((<usize>i) << 3), value)
}
