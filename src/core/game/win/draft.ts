import type { HoldSet } from '../../holds/holdTable'
import { sure } from '../../sure'
import type { ChartIndex } from '../chartIndex'
import { NONE, OUTCOME, TERMINALS, type Game } from '../game'

/** An action of a match as it is drafted. States are numbers of the draft. */
export interface MatchAction {
  move: number
  answer: number
  seconds: number
  nothing: number
  slips: number
  slipsTo: number
}

/**
 * Stands where games have their waiting, which the equations know to stay where it is: in a match a second of waiting
 * may begin the exchange anew, so that it is an action like others, behind this one, that nobody ever takes.
 */
export const NEVER: MatchAction = { move: NONE, answer: NONE, seconds: 1, nothing: NONE, slips: 0, slipsTo: NONE }
const NEVER_WORTH = -1e6

/** A group of one state. */
export interface MatchGroup {
  worth: number
  ending: number
  isReaction: boolean
  place: number
  holds: HoldSet
  seen: number
  stalled: number
}

/** States of the match that are asked about: by position, by move that has just stalled, and the start by score. */
export interface MatchRoots {
  start: number
  /** So many states were found from the start. */
  reached: number
  ownStates: Int32Array
  stalledStates: Int32Array
  starts: Int32Array
}

/** Rows of a game that are written down state by state, each a group of its own. */
export class Draft {
  stateCount = 0
  private readonly actions: MatchAction[] = []
  /** By state: its first action, and its first sight; by action: its first outcome, and its first reaction. */
  private readonly firstAction: number[] = []
  private readonly firstSight: number[] = []
  private readonly firstOutcome: number[] = []
  private readonly firstReaction: number[] = []
  private readonly to: number[] = []
  private readonly chance: number[] = []
  private readonly kind: number[] = []
  private readonly reaction: number[] = []
  private readonly sights: { state: number; share: number; cue: number }[] = []
  /** By state: the action that has just stalled, and what its next try lands less. */
  private readonly stalls = new Map<number, { action: number; loss: number }>()

  beginState(): void {
    this.stateCount++
    this.firstAction.push(this.actions.length)
    this.firstSight.push(this.sights.length)
  }

  action(action: MatchAction): void {
    this.actions.push(action)
    this.firstOutcome.push(this.to.length)
    this.firstReaction.push(NONE)
  }

  /** From here on the outcomes of the action are reactions. */
  reactionsBegin(): void {
    this.firstReaction[this.actions.length - 1] = this.to.length
  }

  outcome(to: number, chance: number, kind: number, reaction: number): void {
    this.to.push(to)
    this.chance.push(chance)
    this.kind.push(kind)
    this.reaction.push(reaction)
  }

  sight(state: number, share: number, cue: number): void {
    this.sights.push({ state, share, cue })
  }

  /** The action at hand has just stalled in the state at hand. */
  stalled(loss: number): void {
    this.stalls.set(this.stateCount - 1, { action: this.actions.length - 1, loss })
  }

  layOut(
    groups: readonly MatchGroup[],
    isArrival: (state: number) => boolean,
    of: MatchRoots & { index: ChartIndex; maxSeconds: number },
  ): Omit<Game, 'scenario' | 'terminalWorths'> {
    const all = groups.map((_, i) => i)
    const order = [...all.filter((i) => !isArrival(i)), ...all.filter(isArrival)]
    const number = new Int32Array(TERMINALS + groups.length)
    for (let i = 0; i < TERMINALS; i++) number[i] = i
    order.forEach((i, at) => (number[TERMINALS + i] = TERMINALS + at))
    const renamed = (state: number) => (state === NONE ? NONE : sure(number[state]))
    const groupCount = all.length - all.filter(isArrival).length
    const reached = new Uint8Array(TERMINALS + groups.length)
    for (let i = 0; i < of.reached; i++) reached[renamed(TERMINALS + i)] = 1
    const rows = new Rows(this.parts(), order, renamed)
    const column = (valueOf: (group: MatchGroup) => number) => Int32Array.from(order, (i) => valueOf(sure(groups[i])))
    return {
      stateCount: TERMINALS + groups.length,
      reachedCount: reached.subarray(TERMINALS, TERMINALS + groupCount).reduce((sum, is) => sum + is, 0),
      reached,
      start: renamed(of.start),
      maxSeconds: of.maxSeconds,
      groupCount,
      groupStates: Int32Array.from({ length: groups.length + 1 }, (_, i) => TERMINALS + i),
      groupIsReaction: Uint8Array.from(column(({ isReaction }) => Number(isReaction))),
      groupWorth: Float64Array.from(order, (i) => sure(groups[i]).worth),
      groupEnding: Uint8Array.from(column(({ ending }) => ending)),
      groupIsBehind: new Uint8Array(groups.length),
      groupBreak: new Float64Array(groups.length),
      groupThreat: new Float64Array(groups.length),
      groupOut: new Float64Array(groups.length),
      arrivalsFrom: TERMINALS + groupCount,
      ...rows.game(),
      meaning: {
        index: of.index,
        ownState: of.ownStates.map(renamed),
        stalledState: of.stalledStates.map(renamed),
        startByScore: of.starts.map(renamed),
        groupPlace: column(({ place }) => place),
        groupHolds: order.map((i) => sure(groups[i]).holds),
        groupSeen: column(({ seen }) => seen),
        groupStalled: column(({ stalled }) => stalled),
        ...rows.meaning(),
      },
    }
  }

  private parts(): Parts {
    const { actions, firstAction, firstSight, firstOutcome, firstReaction, to, chance, kind, reaction, sights } = this
    return {
      actions,
      firstAction,
      firstSight,
      firstOutcome,
      firstReaction,
      to,
      chance,
      kind,
      reaction,
      sights,
      stalls: this.stalls,
    }
  }
}

interface Parts {
  actions: readonly MatchAction[]
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
class Rows {
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
    const starts = rowStarts(Array.from(actions, sizeOf(of.firstOutcome, of.to.length)))
    const arrivals = order.slice(this.firstArrival())
    const sights = Array.from(joined(arrivals, of.firstSight, of.sights.length), (s) => sure(of.sights[s]))
    const chances = Float64Array.from(outcomes, (o) => sure(of.chance[o]))
    const kinds = outcomes.map((o) => sure(of.kind[o]))
    return {
      groupActions: rowStarts(order.map(sizeOf(of.firstAction, of.actions.length))),
      ...this.states(),
      actionLike: Int32Array.from(actions, (_, at) => at),
      actionSeconds: Int32Array.from(actions, (a) => sure(of.actions[a]).seconds),
      actionToll: Float64Array.from(actions, (a) => (of.actions[a] === NEVER ? NEVER_WORTH : 0)),
      actionAlive: Float64Array.from(actions, (a) => Number(of.actions[a] !== NEVER)),
      outcomes: starts,
      reactionsFrom: Int32Array.from(actions, (a, at) => {
        const first = sure(of.firstReaction[a])
        return first === NONE ? sure(starts[at + 1]) : sure(starts[at]) + first - sure(of.firstOutcome[a])
      }),
      actionLanding: Int32Array.from(actions, (a) => {
        for (let o = sure(of.firstOutcome[a]); o < endOf(of.firstOutcome, a, of.to.length); o++)
          if (of.kind[o] === OUTCOME.lands) return renamed(sure(of.to[o]))
        return NONE
      }),
      actionNothing: Int32Array.from(actions, (a) => renamed(sure(of.actions[a]).nothing)),
      actionSlips: Float64Array.from(actions, (a) => sure(of.actions[a]).slips),
      actionSlipsTo: Int32Array.from(actions, (a) => renamed(sure(of.actions[a]).slipsTo)),
      actionMass: Float64Array.from(actions, (_, at) => {
        let mass = 0
        for (let o = sure(starts[at]); o < sure(starts[at + 1]); o++)
          if (kinds[o] === OUTCOME.reaction) mass += sure(chances[o])
        return mass
      }),
      outcomeState: Int32Array.from(outcomes, (o) => renamed(sure(of.to[o]))),
      outcomeChance: chances,
      sights: rowStarts(arrivals.map(sizeOf(of.firstSight, of.sights.length))),
      sightState: Int32Array.from(sights, ({ state }) => renamed(state)),
      sightShare: Float64Array.from(sights, ({ share }) => share),
    }
  }

  meaning() {
    const { of, actions, outcomes, order } = this
    const sights = joined(order, of.firstSight, of.sights.length)
    return {
      sightCue: Int32Array.from(sights, (s) => sure(of.sights[s]).cue),
      actionMove: Int32Array.from(actions, (a) => sure(of.actions[a]).move),
      actionAnswer: Int32Array.from(actions, (a) => sure(of.actions[a]).answer),
      outcomeKind: Uint8Array.from(outcomes, (o) => sure(of.kind[o])),
      outcomeReaction: Int32Array.from(outcomes, (o) => sure(of.reaction[o])),
    }
  }

  /** Arrivals come last: from the first state with sights on. */
  private firstArrival(): number {
    const { of, order } = this
    const at = order.findIndex((i) => endOf(of.firstSight, i, of.sights.length) > sure(of.firstSight[i]))
    return at < 0 ? order.length : at
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

function rowStarts(lengths: readonly number[]): Int32Array {
  const starts = new Int32Array(lengths.length + 1)
  lengths.forEach((length, i) => (starts[i + 1] = sure(starts[i]) + length))
  return starts
}
