import { terminalWorth, TERMINALS, type Game } from '../game/game'

/**
 * Values of states by seconds left. A state's seconds lie side by side, because an action asks for the same state
 * at one time after the other; a table may hold only the last `span` of them, or (no clock) a single one.
 */
export class ValueTable {
  readonly values: Float64Array
  /** Seconds left of the first column. */
  base = 0

  constructor(
    readonly game: Game,
    /** Columns a state. */
    readonly stride: number,
    /** 1 with a clock; 0 without, where every time is the same column. */
    readonly step: 0 | 1,
  ) {
    this.values = new Float64Array(game.stateCount * stride)
    terminalWorth(game.scenario).forEach((worth, state) =>
      this.values.fill(worth, state * stride, (state + 1) * stride),
    )
    for (let state = TERMINALS; state < game.stateCount; state++) {
      this.values[state * stride] = game.groupWorth[game.stateGroup[state]]
    }
  }

  column(t: number): number {
    return (t - this.base) * this.step
  }

  at(state: number, t: number): number {
    return this.values[state * this.stride + this.column(t)]
  }

  /** Forgets all but the last `keep` seconds before `t` (exclusive), to make room for more. */
  slide(t: number, keep: number): void {
    const { values, stride } = this
    const from = this.column(t - keep)
    for (let state = TERMINALS; state < this.game.stateCount; state++) {
      const row = state * stride
      values.copyWithin(row, row + from, row + from + keep)
    }
    this.base = t - keep
  }

  /** The values of all states at one time. */
  snapshot(t: number): Float64Array {
    const column = this.column(t)
    return Float64Array.from({ length: this.game.stateCount }, (_, state) => this.values[state * this.stride + column])
  }
}
