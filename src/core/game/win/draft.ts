import type { HoldSet } from '../../holds/holdTable'
import { sure } from '../../sure'
import type { ChartIndex } from '../chartIndex'
import { NONE, TERMINALS, type Game } from '../game'
import type { MatchAction } from './matchAction'
import { Rows, type Parts } from './rows'

/** A group of one state. */
export interface MatchGroup {
  score: number
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
  /** By action: the first that is like it, itself where there is none before it. */
  private readonly likes: number[] = []
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
    this.likes.push(this.actions.length)
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

  /**
   * Writes an action of the state at hand as the one at the same place in another state: for so many seconds the same
   * comes of it. `isLike`: it is worked out once for both; not where it has just stalled in one of them.
   */
  again(state: number, isLike: boolean): void {
    const at = this.actions.length - sure(this.firstAction[this.stateCount - 1])
    const a = sure(this.firstAction[state]) + at
    const first = sure(this.firstOutcome[a])
    const shift = this.to.length - first
    const reaction = sure(this.firstReaction[a])
    this.action(sure(this.actions[a]))
    if (isLike) this.likes[this.likes.length - 1] = sure(this.likes[a])
    if (reaction !== NONE) this.firstReaction[this.actions.length - 1] = reaction + shift
    for (let o = first; o < sure(this.firstOutcome[a + 1]); o++)
      this.outcome(sure(this.to[o]), sure(this.chance[o]), sure(this.kind[o]), sure(this.reaction[o]))
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
    const byScore = all.toSorted((i, j) => sure(groups[i]).score - sure(groups[j]).score)
    const order = [...byScore.filter((i) => !isArrival(i)), ...byScore.filter(isArrival)]
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
    const { actions, likes, firstAction, firstSight, firstOutcome, firstReaction } = this
    const { to, chance, kind, reaction, sights } = this
    return {
      actions,
      likes,
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
