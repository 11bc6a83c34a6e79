import { NONE, type Game } from '../game/game'
import { makeBatches, type Batch, type Batches } from './batches'
import { Dealer } from './deal'
import { afterWaiting, valueOfAction } from './valueOfAction'

/**
 * One step of the equations for all states at once, from rows of values already known to the next.
 *
 * First every move is valued, batch by batch; then every stalled move once more, by what it loses; then each group takes
 * the best. The states of a position differ in one action only, so the two best moves of the group serve them all.
 */
export class Stepper {
  readonly dealer: Dealer
  private readonly batches: Batches
  /** Value of each action, -Infinity while no time is left for it; of each stalled state's move tried again. */
  private readonly fresh: Float64Array
  private readonly again: Float64Array

  constructor(
    private readonly game: Game,
    private readonly values: Float64Array,
  ) {
    this.dealer = new Dealer(game.outcomeState, game.outcomeChance, game.scenario.sharpness)
    this.batches = makeBatches(game)
    this.fresh = new Float64Array(game.actionSeconds.length).fill(-Infinity)
    this.again = new Float64Array(game.stateCount).fill(-Infinity)
  }

  /** Writes the row at `now`; `rowBehind(s)` is where the row s seconds behind begins, NONE where time is up. */
  step(now: number, rowBehind: (seconds: number) => number): void {
    const { game, batches, fresh, again, values } = this
    for (const batch of batches.plain) {
      const row = rowBehind(batch.seconds)
      if (row !== NONE) valueBatch(batches, batch, values, row, fresh)
    }
    for (const a of batches.read) {
      const row = rowBehind(game.actionSeconds[a])
      if (row !== NONE) fresh[a] = valueOfAction(game, values, this.dealer, a, row)
    }
    const { states, weight, landing, idle } = batches.stalled
    for (let i = 0; i < states.length; i++) {
      const stalled = game.stateStalled[states[i]]
      const row = rowBehind(game.actionSeconds[stalled])
      if (row === NONE) break
      again[states[i]] = fresh[stalled] + weight[i] * (values[row + idle[i]] - values[row + landing[i]])
    }
    this.takeBest(now, rowBehind(1))
  }

  private takeBest(now: number, before: number): void {
    const { fresh, again, values } = this
    const { groupCount, groupStates, groupActions, groupIsReaction, groupWorth } = this.game
    const { stateStalled, actionToll, actionAlive, outcomes } = this.game
    for (let g = 0; g < groupCount; g++) {
      const wait = groupActions[g]
      const end = groupActions[g + 1]
      let best = -Infinity
      let second = -Infinity
      let action: number = NONE
      for (let a = wait + 1 - groupIsReaction[g]; a < end; a++) {
        const value = fresh[a]
        if (value > best) {
          second = best
          best = value
          action = a
        } else if (value > second) second = value
      }
      if (groupIsReaction[g]) {
        values[now + groupStates[g]] = action === NONE ? groupWorth[g] : best
        continue
      }
      const toll = actionToll[wait]
      const alive = actionAlive[wait]
      const disturbed = outcomes[wait] < outcomes[wait + 1]
      const last = groupStates[g + 1]
      for (let state = groupStates[g]; state < last; state++) {
        const stay = values[before + state]
        let value = toll + alive * (disturbed ? afterWaiting(this.game, values, this.dealer, wait, before, stay) : stay)
        const stalled = stateStalled[state]
        if (stalled === NONE) {
          if (best > value) value = best
        } else {
          const others = stalled === action ? second : best
          if (others > value) value = others
          if (again[state] > value) value = again[state]
        }
        values[now + state] = value
      }
    }
  }
}

/** Values the actions of a batch from one row. Written out for the usual widths, where a loop would be mispredicted. */
function valueBatch(batches: Batches, batch: Batch, values: Float64Array, row: number, fresh: Float64Array): void {
  const { actions, outcomeState: to, outcomeChance: p, toll, alive } = batches
  const { from, to: end, width } = batch
  let o = batch.firstOutcome
  if (width === 1) {
    for (let i = from; i < end; i++, o++) fresh[actions[i]] = toll[i] + alive[i] * p[o] * values[row + to[o]]
  } else if (width === 2) {
    for (let i = from; i < end; i++, o += 2) {
      fresh[actions[i]] = toll[i] + alive[i] * (p[o] * values[row + to[o]] + p[o + 1] * values[row + to[o + 1]])
    }
  } else if (width === 3) {
    for (let i = from; i < end; i++, o += 3) {
      const sum = p[o] * values[row + to[o]] + p[o + 1] * values[row + to[o + 1]] + p[o + 2] * values[row + to[o + 2]]
      fresh[actions[i]] = toll[i] + alive[i] * sum
    }
  } else {
    for (let i = from; i < end; i++) {
      let sum = 0
      for (const stop = o + width; o < stop; o++) sum += p[o] * values[row + to[o]]
      fresh[actions[i]] = toll[i] + alive[i] * sum
    }
  }
}
