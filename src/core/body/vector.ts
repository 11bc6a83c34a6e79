/** A point or a direction: x to the right of the picture, y away from who looks, z up; in centimetres. */
export type Vector = readonly [x: number, y: number, z: number]

export const plus = (a: Vector, b: Vector, times = 1): Vector => [
  a[0] + b[0] * times,
  a[1] + b[1] * times,
  a[2] + b[2] * times,
]
export const minus = (a: Vector, b: Vector): Vector => plus(a, b, -1)
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const length = (a: Vector): number => Math.sqrt(dot(a, a))
/** The direction of a vector, of length 1; a vector of no length has that of the x axis. */
export const unit = (a: Vector): Vector => {
  const size = length(a)
  return size < 1e-9 ? [1, 0, 0] : [a[0] / size, a[1] / size, a[2] / size]
}
