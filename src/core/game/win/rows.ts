import { sure } from '../../sure'
import { NONE, OUTCOME, TERMINALS } from '../game'
import { NEVER, NEVER_WORTH, type MatchAction } from './matchAction'

/** What was drafted, in the order in which states were found. */
export interface Parts {
  actions: readonly MatchAction[]
  likes: readonly number[]
  firstAction: readonly number[]
  firstSight: readonly number[]
  firstOutcome: readonly number[]
  firstReaction: readonly number[]
  to: readonly number[]
  chance: readonly number[]
  kind: readonly number[]
  reaction: readonly number[]
  sights: readonly { state: number; share: number; cue: number }[]
  stalls: ReadonlyMap<number, { action: number; loss: number }>
}

/** The rows of a draft in the order of its states. */
export class Rows {
  private readonly order: readonly number[]
  /** Actions in their new order, and by old action its new one. */
  private readonly actions: Int32Array
  private readonly outcomes: Int32Array
  private readonly renamedAction: Int32Array

  constructor(
    private readonly of: Parts,
    order: readonly number[],
    private readonly renamed: (state: number) => number,
  ) {
    this.order = order
    this.actions = joined(order, of.firstAction, of.actions.length)
    this.outcomes = joined([...this.actions], of.firstOutcome, of.to.length)
    this.renamedAction = new Int32Array(of.actions.length)
    this.actions.forEach((a, at) => (this.renamedAction[a] = at))
  }

  game() {
    const { of, actions, outcomes, order, renamed } = this
    const sizeOf = (firsts: readonly number[], end: number) => (row: number) =>
      endOf(firsts, row, end) - sure(firsts[row])
    const starts = rowStarts(actions.map(sizeOf(of.firstOutcome, of.to.length)))
    const arrivals = order.slice(this.firstArrival())
    const sights = Array.from(joined(arrivals, of.firstSight, of.sights.length), (s) => sure(of.sights[s]))
    const chances = filled(Float64Array, outcomes, (o) => sure(of.chance[o]))
    const kinds = outcomes.map((o) => sure(of.kind[o]))
    return {
      groupActions: rowStarts(order.map(sizeOf(of.firstAction, of.actions.length))),
      ...this.states(),
      actionLike: this.likes(),
      actionSeconds: filled(Int32Array, actions, (a) => sure(of.actions[a]).seconds),
      actionToll: filled(Float64Array, actions, (a) => (of.actions[a] === NEVER ? NEVER_WORTH : 0)),
      actionAlive: filled(Float64Array, actions, (a) => Number(of.actions[a] !== NEVER)),
      outcomes: starts,
      reactionsFrom: filled(Int32Array, actions, (a, at) => {
        const first = sure(of.firstReaction[a])
        return first === NONE ? sure(starts[at + 1]) : sure(starts[at]) + first - sure(of.firstOutcome[a])
      }),
      actionLanding: filled(Int32Array, actions, (a) => {
        for (let o = sure(of.firstOutcome[a]); o < endOf(of.firstOutcome, a, of.to.length); o++)
          if (of.kind[o] === OUTCOME.lands) return renamed(sure(of.to[o]))
        return NONE
      }),
      actionNothing: filled(Int32Array, actions, (a) => renamed(sure(of.actions[a]).nothing)),
      actionSlips: filled(Float64Array, actions, (a) => sure(of.actions[a]).slips),
      actionSlipsTo: filled(Int32Array, actions, (a) => renamed(sure(of.actions[a]).slipsTo)),
      actionMass: filled(Float64Array, actions, (_, at) => {
        let mass = 0
        for (let o = sure(starts[at]); o < sure(starts[at + 1]); o++)
          if (kinds[o] === OUTCOME.reaction) mass += sure(chances[o])
        return mass
      }),
      outcomeState: filled(Int32Array, outcomes, (o) => renamed(sure(of.to[o]))),
      outcomeChance: chances,
      sights: rowStarts(arrivals.map(sizeOf(of.firstSight, of.sights.length))),
      sightState: filled(Int32Array, sights, ({ state }) => renamed(state)),
      sightShare: filled(Float64Array, sights, ({ share }) => share),
    }
  }

  meaning() {
    const { of, actions, outcomes, order } = this
    const sights = joined(order, of.firstSight, of.sights.length)
    return {
      sightCue: filled(Int32Array, sights, (s) => sure(of.sights[s]).cue),
      actionMove: filled(Int32Array, actions, (a) => sure(of.actions[a]).move),
      actionAnswer: filled(Int32Array, actions, (a) => sure(of.actions[a]).answer),
      outcomeKind: filled(Uint8Array, outcomes, (o) => sure(of.kind[o])),
      outcomeReaction: filled(Int32Array, outcomes, (o) => sure(of.reaction[o])),
    }
  }

  /** Arrivals come last: from the first state with sights on. */
  private firstArrival(): number {
    const { of, order } = this
    const at = order.findIndex((i) => endOf(of.firstSight, i, of.sights.length) > sure(of.firstSight[i]))
    return at < 0 ? order.length : at
  }

  /** Of actions that are alike, whichever comes first in the new order stands for all. */
  private likes(): Int32Array {
    const firsts = new Map<number, number>()
    return this.actions.map((a, at) => {
      const like = sure(this.of.likes[a])
      if (!firsts.has(like)) firsts.set(like, at)
      return sure(firsts.get(like))
    })
  }

  private states() {
    const { of, order } = this
    const count = TERMINALS + order.length
    const stateGroup = new Int32Array(count).fill(NONE)
    const stateStalled = new Int32Array(count).fill(NONE)
    const stateLoss = new Float64Array(count)
    order.forEach((i, at) => {
      stateGroup[TERMINALS + at] = at
      const stall = of.stalls.get(i)
      if (!stall) return
      stateStalled[TERMINALS + at] = sure(this.renamedAction[stall.action])
      stateLoss[TERMINALS + at] = stall.loss
    })
    return { stateGroup, stateStalled, stateLoss }
  }
}

/** A column of what `valueOf` says of each row: a loop, because `from` takes several times as long. */
function filled<C extends Int32Array | Float64Array | Uint8Array, Row>(
  Column: new (length: number) => C,
  rows: ArrayLike<Row>,
  valueOf: (row: Row, at: number) => number,
): C {
  const column = new Column(rows.length)
  for (let i = 0; i < rows.length; i++) column[i] = valueOf(rows[i] as Row, i)
  return column
}

/** Where a row of these ends: where the next one begins. */
const endOf = (firsts: readonly number[], row: number, end: number): number => firsts[row + 1] ?? end

/** The numbers of these rows, one row after the other. */
function joined(rows: readonly number[], firsts: readonly number[], end: number): Int32Array {
  const length = rows.reduce((sum, row) => sum + endOf(firsts, row, end) - sure(firsts[row]), 0)
  const all = new Int32Array(length)
  let at = 0
  for (const row of rows) for (let i = sure(firsts[row]); i < endOf(firsts, row, end); i++) all[at++] = i
  return all
}

function rowStarts(lengths: Int32Array | readonly number[]): Int32Array {
  const starts = new Int32Array(lengths.length + 1)
  lengths.forEach((length, i) => (starts[i + 1] = sure(starts[i]) + length))
  return starts
}
