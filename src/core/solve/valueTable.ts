import { TERMINALS, type Game } from '../game/game'

/**
 * Values of states by seconds left: a row of states for each time, so that one step back in time reads and writes
 * rows from end to end. With a clock the rows are a ring of the last ones needed, or all; without one there is one.
 */
export class ValueTable {
  readonly values: Float64Array
  private readonly width: number

  constructor(
    readonly game: Game,
    /** Rows kept: times t and t + rows share one. Without a clock 1, where every time is the same row. */
    readonly rows: number,
  ) {
    this.width = game.stateCount
    this.values = new Float64Array(rows * this.width)
    for (let row = 0; row < rows; row++) this.values.set(game.terminalWorths, row * this.width)
    for (let state = TERMINALS; state < this.width; state++) {
      this.values[state] = game.groupWorth[game.stateGroup[state]]
    }
  }

  /** Where the row of the values with t seconds left begins. */
  row(t: number): number {
    return (t % this.rows) * this.width
  }

  at(state: number, t: number): number {
    return this.values[this.row(t) + state]
  }

  /** The values of all states at one time. */
  snapshot(t: number): Float64Array {
    return this.values.slice(this.row(t), this.row(t) + this.width)
  }
}
