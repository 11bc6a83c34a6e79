/** Values within this are equal, and differ by rounding alone. */
const TIE = 1e-12

/**
 * A defender who reads us deals his reactions out worst for us first: a fractional knapsack, filled in the order
 * of value (Dantzig 1957). Each reaction takes at most chance / (1 - sharpness), doing nothing at most
 * sharpness * mass.
 */
export class Dealer {
  private order = new Int32Array(16)
  /** After `deal`: how much of the mass reaction i of the action got, and how much came to nothing. */
  dealt = new Float64Array(16)
  nothing = 0

  constructor(
    private readonly outcomeState: Int32Array,
    private readonly outcomeChance: Float64Array,
    private readonly sharpness: number,
  ) {}

  /**
   * Deals the reactions `from` to `to` (outcome indices) by the values of the row that begins at `row`;
   * doing nothing is worth `nothingValue`. Returns the chance-weighted value of all of it.
   */
  deal(values: Float64Array, row: number, from: number, to: number, mass: number, nothingValue: number): number {
    if (to - from === 1) return this.dealOne(values[row + this.outcomeState[from]], mass, nothingValue)
    return this.fill(values, row, from, to, mass, nothingValue, this.sharpness * mass)
  }

  /** The same of what must be one of these, and cannot be nothing: what is seen on coming to a position. */
  dealAll(values: Float64Array, row: number, from: number, to: number): number {
    return this.fill(values, row, from, to, 1, 0, 0)
  }

  private fill(
    values: Float64Array,
    row: number,
    from: number,
    to: number,
    mass: number,
    nothingValue: number,
    nothingMost: number,
  ): number {
    const count = to - from
    if (count > this.order.length) this.grow(count)
    this.sort(values, row, from, count)
    const { order, dealt, outcomeState, outcomeChance, sharpness } = this
    let left = mass
    let total = 0
    this.nothing = 0
    let nothingDealt = false
    for (let i = 0; i < count; i++) {
      const outcome = from + order[i]
      const value = values[row + outcomeState[outcome]]
      if (!nothingDealt && nothingValue < value - TIE) {
        nothingDealt = true
        this.nothing = Math.min(left, nothingMost)
        left -= this.nothing
        total += this.nothing * nothingValue
      }
      const share = Math.min(left, outcomeChance[outcome] / (1 - sharpness))
      dealt[order[i]] = share
      left -= share
      total += share * value
    }
    if (!nothingDealt) {
      this.nothing = Math.min(left, nothingMost)
      total += this.nothing * nothingValue
    }
    return total
  }

  /** Insertion sort, as rows are short. Ties keep the order of the chart's reactions, whatever rounding did to them. */
  private sort(values: Float64Array, row: number, from: number, count: number): void {
    const { order, outcomeState } = this
    for (let i = 0; i < count; i++) {
      const value = values[row + outcomeState[from + i]]
      let at = i
      for (; at > 0 && values[row + outcomeState[from + order[at - 1]]] > value + TIE; at--) {
        order[at] = order[at - 1]
      }
      order[at] = i
    }
  }

  /** A single reaction, which is the usual case: either it or nothing is worse for us and comes first. */
  private dealOne(value: number, mass: number, nothingValue: number): number {
    this.nothing = nothingValue < value - TIE ? this.sharpness * mass : 0
    this.dealt[0] = mass - this.nothing
    return this.nothing * nothingValue + this.dealt[0] * value
  }

  private grow(count: number): void {
    this.order = new Int32Array(2 * count)
    this.dealt = new Float64Array(2 * count)
  }
}
