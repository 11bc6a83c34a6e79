import { NONE, type Game } from '../game/game'
import { makeBatches, type Batch, type Batches } from './batches'
import { Dealer } from './deal'
import { afterWaiting, valueOfAction } from './valueOfAction'

/**
 * One step of the equations for all states at once, from rows of values already known to the next.
 *
 * First every move is valued, batch by batch, and once more as it is where it just stalled; then each group takes the
 * best. The states of a position differ in one action only, so the two best moves of the group serve them all.
 */
export class Stepper {
  readonly dealer: Dealer
  private readonly batches: Batches
  /** By slot: the move's value. By state: that of the move that just stalled. -Infinity while no time is left for it. */
  private readonly fresh: Float64Array
  private readonly again: Float64Array

  constructor(
    private readonly game: Game,
    private readonly values: Float64Array,
  ) {
    this.dealer = new Dealer(game.outcomeState, game.outcomeChance, game.scenario.sharpness)
    this.batches = makeBatches(game)
    this.fresh = new Float64Array(this.batches.actions.length).fill(-Infinity)
    this.again = new Float64Array(game.stateCount).fill(-Infinity)
  }

  /** Writes the row at `now`; `rowBehind(s)` is where the row s seconds behind begins, NONE where time is up. */
  step(now: number, rowBehind: (seconds: number) => number): void {
    const { batches, fresh, again, values } = this
    for (const batch of batches.batches) {
      const row = rowBehind(batch.seconds)
      if (row === NONE) continue
      if (batch.from >= batches.read) this.valueRead(batch, row)
      else valueBatch(batches, batch, values, row, fresh)
      valueAgain(batches, batch, values, row, fresh, again)
    }
    this.takeBest(now, rowBehind(1))
  }

  private valueRead({ from, to }: Batch, row: number): void {
    const { game, values, dealer, fresh } = this
    const { actions, slotOfPlace } = this.batches
    for (let i = from; i < to; i++) fresh[slotOfPlace[i]] = valueOfAction(game, values, dealer, actions[i], row)
  }

  private takeBest(now: number, before: number): void {
    const { fresh, again, values, game, batches } = this
    const { groupStates, groupActions, groupIsReaction, groupWorth } = game
    const { actionToll, actionAlive, outcomes } = game
    const { groups, slots, placeOfSlot, stalledPlace } = batches
    for (let i = 0; i < groups.length; i++) {
      const g = groups[i]
      const first = slots[i]
      const end = slots[i + 1]
      if (first + 1 < end && fresh[first + 1] > fresh[first]) swapSlots(batches, fresh, first, first + 1)
      for (let slot = first + 2; slot < end; slot++) {
        if (fresh[slot] > fresh[first + 1]) bringForward(batches, fresh, first, slot)
      }
      const best = first < end ? fresh[first] : -Infinity
      if (groupIsReaction[g]) {
        values[now + groupStates[g]] = best === -Infinity ? groupWorth[g] : best
        continue
      }
      const lead = first < end ? placeOfSlot[first] : NEVER
      const second = first + 1 < end ? fresh[first + 1] : -Infinity
      const wait = groupActions[g]
      if (outcomes[wait] < outcomes[wait + 1]) {
        this.waitDisturbed(g, now, before, lead, best, second)
        continue
      }
      const toll = actionToll[wait]
      const alive = actionAlive[wait]
      const last = groupStates[g + 1]
      for (let state = groupStates[g]; state < last; state++) {
        let value = toll + alive * values[before + state]
        const others = stalledPlace[state] === lead ? second : best
        if (others > value) value = others
        if (again[state] > value) value = again[state]
        values[now + state] = value
      }
    }
  }

  /**
   * Writes the best action of each state, of the row at `now` that was just stepped to: the first within `TIE` of the
   * best, waiting or conceding before the others; NONE where none fits, and where an exchange from the start never comes.
   */
  recordBest(policy: Int32Array, at: number, now: number, before: number): void {
    const { game, values, dealer, batches, fresh, again } = this
    const { groupStates, groupActions, groupIsReaction, actionToll, actionAlive, outcomes, reached } = game
    const { slots, placeOfSlot, stalledPlace, actions } = batches
    for (let i = 0; i < batches.groups.length; i++) {
      const g = batches.groups[i]
      const wait = groupActions[g]
      const disturbed = !groupIsReaction[g] && outcomes[wait] < outcomes[wait + 1]
      const first = slots[i]
      const count = slots[i + 1] - first
      const lead = count > 0 ? placeOfSlot[first] : NEVER
      const isAhead = count > 0 && !(count > 1 && fresh[first + 1] >= fresh[first] - TIE)
      for (let state = groupStates[g]; state < groupStates[g + 1]; state++) {
        if (!reached[state]) continue
        const enough = values[now + state] - TIE
        let action: number = NONE
        if (!groupIsReaction[g]) {
          const stay = values[before + state]
          const after = disturbed ? afterWaiting(game, values, dealer, wait, before, stay) : stay
          if (actionToll[wait] + actionAlive[wait] * after >= enough) action = wait
        }
        if (action === NONE) {
          const isLead = isAhead && fresh[first] >= enough && stalledPlace[state] !== lead && again[state] < enough
          action = isLead ? actions[lead] : this.firstEnough(i, state, enough)
        }
        policy[at + state] = action
      }
    }
  }

  /** The first action in file order, waiting aside, that is worth enough in a state of the group with slots i. */
  private firstEnough(i: number, state: number, enough: number): number {
    const { fresh, again } = this
    const { slots, placeOfSlot, stalledPlace, actions } = this.batches
    const stalled = stalledPlace[state]
    let first: number = NONE
    for (let slot = slots[i]; slot < slots[i + 1]; slot++) {
      const place = placeOfSlot[slot]
      const value = place === stalled ? again[state] : fresh[slot]
      if (value > -Infinity && value >= enough && (first === NONE || actions[place] < first)) first = actions[place]
    }
    return first
  }

  /** The states of a group in which they may do something unprompted. Apart, because a call would slow the usual loop. */
  private waitDisturbed(g: number, now: number, before: number, lead: number, best: number, second: number): void {
    const { game, values, again, dealer } = this
    const wait = game.groupActions[g]
    for (let state = game.groupStates[g]; state < game.groupStates[g + 1]; state++) {
      const after = afterWaiting(game, values, dealer, wait, before, values[before + state])
      const others = this.batches.stalledPlace[state] === lead ? second : best
      values[now + state] = Math.max(game.actionToll[wait] + game.actionAlive[wait] * after, others, again[state])
    }
  }
}

/** Actions worth as much, but for rounding. */
const TIE = 1e-12

/** No state's stalled move, and not NONE either. */
const NEVER = -2

/**
 * Gives a move that is better than the group's second one of the first two slots, where the two best belong. They
 * seldom change from one second to the next, so that hardly any comparison goes another way than the last time.
 */
function bringForward(batches: Batches, fresh: Float64Array, first: number, slot: number): void {
  swapSlots(batches, fresh, first + 1, slot)
  if (fresh[first + 1] > fresh[first]) swapSlots(batches, fresh, first, first + 1)
}

function swapSlots({ placeOfSlot, slotOfPlace }: Batches, fresh: Float64Array, i: number, j: number): void {
  const place = placeOfSlot[i]
  const value = fresh[i]
  placeOfSlot[i] = placeOfSlot[j]
  fresh[i] = fresh[j]
  placeOfSlot[j] = place
  fresh[j] = value
  slotOfPlace[placeOfSlot[i]] = i
  slotOfPlace[place] = j
}

/** Values the moves of a batch from one row. Written out for the usual widths, where a loop would be mispredicted. */
function valueBatch(batches: Batches, batch: Batch, values: Float64Array, row: number, fresh: Float64Array): void {
  const { outcomeState: to, outcomeChance: p, toll, slotOfPlace: slot } = batches
  const { from, to: end, width } = batch
  let o = batch.firstOutcome
  if (width === 1) {
    for (let i = from; i < end; i++, o++) fresh[slot[i]] = toll[i] + p[o] * values[row + to[o]]
  } else if (width === 2) {
    for (let i = from; i < end; i++, o += 2) {
      fresh[slot[i]] = toll[i] + (p[o] * values[row + to[o]] + p[o + 1] * values[row + to[o + 1]])
    }
  } else if (width === 3) {
    for (let i = from; i < end; i++, o += 3) {
      const two = p[o] * values[row + to[o]] + p[o + 1] * values[row + to[o + 1]]
      fresh[slot[i]] = toll[i] + (two + p[o + 2] * values[row + to[o + 2]])
    }
  } else if (width === 4) {
    for (let i = from; i < end; i++, o += 4) {
      const two = p[o] * values[row + to[o]] + p[o + 1] * values[row + to[o + 1]]
      fresh[slot[i]] = toll[i] + (two + (p[o + 2] * values[row + to[o + 2]] + p[o + 3] * values[row + to[o + 3]]))
    }
  } else {
    for (let i = from; i < end; i++) {
      let sum = 0
      for (const stop = o + width; o < stop; o++) sum += p[o] * values[row + to[o]]
      fresh[slot[i]] = toll[i] + sum
    }
  }
}

/** Values the moves of a batch that can have just stalled, as they are then. */
function valueAgain(
  { weight, idle, landing, repeatState, slotOfPlace }: Batches,
  { repeats, to }: Batch,
  values: Float64Array,
  row: number,
  fresh: Float64Array,
  again: Float64Array,
): void {
  for (let i = repeats; i < to; i++) {
    again[repeatState[i]] = fresh[slotOfPlace[i]] + weight[i] * (values[row + idle[i]] - values[row + landing[i]])
  }
}
