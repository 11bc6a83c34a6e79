import { NONE, type Game } from '../game/game'
import { makeBatches, type Batches } from './batches'
import { chancesOf } from './chances'
import { theKernel } from './kernel'

/** Where the row that many seconds behind begins, NONE where time is up. */
export type RowBehind = (seconds: number) => number

/**
 * Steps all states by one second, from rows of values that are known. The rows are a ring in the kernel’s memory, which
 * holds one game at a time: making another stepper invalidates this one.
 */
export class Stepper {
  /** All rows, one after the other: a view of the kernel's memory. */
  readonly values: Float64Array
  private readonly kernel = theKernel()
  private readonly policy: Int32Array
  private readonly planned: Int32Array
  private readonly rowBehind: Int32Array
  private readonly valuesAt: number

  /**
   * `values`: the ring of rows with its first values. `batches`: the game’s own, or those of a game that differs in
   * chances only. `kept`: the states in which a plan may be kept.
   */
  constructor(
    private readonly game: Game,
    values: Float64Array,
    batches: Batches = makeBatches(game),
    kept: Int32Array = new Int32Array(),
  ) {
    const { kernel } = this
    kernel.lay(this, {
      ...batches,
      ...chancesOf(game, batches),
      ...rowsOf(game),
      fresh: freshOf(game),
      again: new Float64Array(game.stateCount).fill(-Infinity),
      policy: new Int32Array(game.stateCount).fill(NONE),
      kept,
      planned: new Int32Array(kept.length),
      rowBehind: new Int32Array(game.maxSeconds + 1),
      values,
    })
    const end = (name: string, row: Int32Array) => kernel.set(`${name}End`, kernel.address(name) + row.byteLength)
    end('batches', batches.batches)
    end('groups', batches.groups)
    end('arrivals', batches.arrivals)
    end('kept', kept)
    kernel.set('sharpness', game.scenario.sharpness)
    const { buffer } = kernel.exports.memory
    this.valuesAt = kernel.address('values')
    this.values = new Float64Array(buffer, this.valuesAt, values.length)
    this.policy = new Int32Array(buffer, kernel.address('policy'), game.stateCount)
    this.planned = new Int32Array(buffer, kernel.address('planned'), kept.length)
    this.rowBehind = new Int32Array(buffer, kernel.address('rowBehind'), game.maxSeconds + 1)
  }

  /** Writes the row at `now`. */
  step(now: number, rowBehind: RowBehind): void {
    this.lookBack(rowBehind)
    this.kernel.exports.step(this.addressOf(now))
  }

  /**
   * By state: the best action of the row at `now`, which was just stepped to. NONE where no action fits, and in states
   * that an exchange never reaches.
   */
  recordBest(now: number): Int32Array {
    this.kernel.assertOwner(this)
    this.kernel.exports.record(this.addressOf(now))
    return this.policy
  }

  /** Writes only the `kept` states of the row at `now`, each valued by its action in `planned`. */
  keep(now: number, rowBehind: RowBehind, planned: Int32Array): void {
    this.lookBack(rowBehind)
    this.planned.set(planned)
    this.kernel.exports.keep(this.addressOf(now))
  }

  private lookBack(rowBehind: RowBehind): void {
    this.kernel.assertOwner(this)
    for (let s = 1; s <= this.game.maxSeconds; s++) {
      const row = rowBehind(s)
      this.rowBehind[s] = row === NONE ? 0 : this.addressOf(row)
    }
  }

  private addressOf(row: number): number {
    return this.valuesAt + row * Float64Array.BYTES_PER_ELEMENT
  }
}

/** Those rows of a game that the equations read as they are. */
function rowsOf(game: Game) {
  const { groupStates, groupActions, groupIsReaction, groupWorth, stateGroup, reached } = game
  const { actionLike, actionSeconds, actionToll, actionAlive } = game
  return {
    ...{ groupStates, groupActions, groupIsReaction, groupWorth, stateGroup, reached },
    ...{ actionLike, actionSeconds, actionToll, actionAlive },
  }
}

/** By action: −∞; one more entry that equals no action. */
function freshOf(game: Game): Float64Array {
  const count = game.actionSeconds.length
  return new Float64Array(count + 1).fill(-Infinity).fill(NaN, count)
}
