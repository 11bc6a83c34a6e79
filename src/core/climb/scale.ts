/** Pixels from the top for a worth, −1 to 1, and the worths that are written at the axis. */
export interface Scale {
  y: (worth: number) => number
  ticks: number[]
}

/** The part of the axis that is used gets this much of the height; what is beyond stays in view, closer together. */
const USED = 0.84
/** Room above and below what is used, in worth; and worths at the axis are so far apart. */
const [AIR, STEP] = [0.06, 0.1]

/**
 * The axis from −100 to 100. What the worths use of it is drawn larger than the rest: the steps at the axis say where.
 */
export function scaleOf(worths: readonly number[], top: number, height: number): Scale {
  if (!worths.length) return scaleOf([-1, 1], top, height)
  const low = Math.max(-1, Math.min(1, ...worths) - AIR)
  const high = Math.min(1, Math.max(-1, ...worths) + AIR)
  const knots = [1, high, low, -1]
  const rest = 2 - (high - low)
  const part = (from: number, to: number) => (rest === 0 ? 0 : ((1 - USED) * (from - to)) / rest)
  const above = part(1, high)
  const within = rest === 0 ? 1 : USED
  const at = [0, above, above + within, 1].map((share) => top + share * height)
  const y = (worth: number) => {
    const i = worth > high ? 0 : worth > low ? 1 : 2
    const [a = 0, b = 0, from = 0, to = 0] = [knots[i], knots[i + 1], at[i], at[i + 1]]
    return a === b ? from : from + ((a - worth) / (a - b)) * (to - from)
  }
  const steps = Array.from({ length: Math.round(2 / STEP) + 1 }, (_, i) => Math.round((1 - i * STEP) * 10) / 10)
  return { y, ticks: steps.filter((one) => Math.abs(one) === 1 || one === 0 || (one <= high && one >= low)) }
}
