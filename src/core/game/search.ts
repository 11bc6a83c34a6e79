import { sure } from '../sure'
import type { HoldSet } from '../holds/holdTable'
import type { ChartIndex, IndexedAnswer } from './chartIndex'
import { CAUGHT, FINISH } from './tryCounts'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type OutcomeKind } from './game'
import { relevantHolds, type Relevance } from './relevance'
import {
  concession,
  landing,
  metHolds,
  ownPlace,
  repeatLoss,
  triedAgain,
  sharesOf,
  unpromptedChances,
  type Place,
  type Shares,
} from './rules'
import type { Scenario } from './scenario'

/** The states reached from a start, still in lists; `layOut` makes typed arrays of it. */

export interface DraftOutcome {
  kind: OutcomeKind
  state: number
  chance: number
  reaction: number
}

export interface DraftAction {
  move: number
  answer: number
  seconds: number
  nothing: number
  outcomes: DraftOutcome[]
}

export interface DraftGroup {
  isReaction: boolean
  /** Index of the position or reaction. */
  place: number
  holds: HoldSet
  /** States by the move that just stalled, or NONE. */
  members: Map<number, number>
  /**
   * The move (in full) that has just stalled in all states of the group, where that changes more than one action; else
   * NONE.
   */
  stalled: number
  actions: DraftAction[]
  /** For a reaction: what met it. */
  met: Meeting
}

/**
 * What met a reaction: a move, or NONE for unprompted; and whether the reaction ends in the position that it is from.
 */
interface Meeting {
  move: number
  home: boolean
}

export class StateLimit extends Error {}

/**
 * Breadth-first search for states; each position with its holds is expanded once for all that may have stalled in it.
 */
export class Search {
  readonly groups: DraftGroup[] = []
  /** Group of each state; terminals have none. */
  readonly stateGroup: number[] = new Array<number>(TERMINALS).fill(NONE)
  private readonly relevance: Relevance
  private readonly goal: Set<number>
  private readonly positionGroups: Map<HoldSet, number>[]
  private readonly stalledGroups = new Map<string, Map<HoldSet, number>>()
  /** Moves that may also be only shown. */
  private readonly shown: Set<number>
  private readonly reactionGroups = new Map<string, Map<HoldSet, number>>()
  private readonly shares: Map<HoldSet, Shares | null>[]
  private expanded = 0

  constructor(
    readonly index: ChartIndex,
    private readonly scenario: Scenario,
    private readonly stateLimit: number,
  ) {
    this.relevance = relevantHolds(index)
    this.goal = new Set(scenario.goal.map((id) => index.positionOf.get(id)!))
    this.positionGroups = index.positions.map(() => new Map<HoldSet, number>())
    this.shares = index.moves.map(() => new Map<HoldSet, Shares | null>())
    this.shown = new Set(index.moves.flatMap(({ probeOf }) => probeOf ?? []))
  }

  /** Expands until nothing new is found. Throws `StateLimit`. */
  exhaust(): void {
    for (; this.expanded < this.groups.length; this.expanded++) this.expand(sure(this.groups[this.expanded]))
  }

  /** The state of a position with its own holds and `stalled` (a move or NONE) just stalled. */
  ownState(position: number, stalled = NONE): number {
    return this.positionState(ownPlace(this.index, position), stalled)
  }

  /** True when the position with its own holds and nothing stalled has been found. */
  hasFoundOwn(position: number): boolean {
    const relevant = sure(this.index.positions[position]).own & sure(this.relevance.position[position])
    const group = sure(this.positionGroups[position]).get(relevant)
    return group !== undefined && sure(this.groups[group]).members.has(NONE)
  }

  private positionState({ position, holds }: Place, stalled: number): number {
    if (position === FINISH) return TERMINAL.finish
    if (position === CAUGHT) return TERMINAL.caught
    if (this.goal.has(position)) return TERMINAL.goal
    const relevant = holds & sure(this.relevance.position[position])
    const just = this.canStallIn(relevant, stalled) ? stalled : NONE
    const apart = this.shown.has(just)
    const known = apart ? mapAt(this.stalledGroups, `${position} ${just}`) : sure(this.positionGroups[position])
    let group = known.get(relevant)
    if (group === undefined) {
      group = this.newGroup(false, position, relevant, { move: NONE, home: true }, apart ? just : NONE)
      known.set(relevant, group)
    }
    return this.member(group, apart ? NONE : just)
  }

  private inFull(move: number): number {
    return sure(this.index.moves[move]).probeOf ?? move
  }

  /** True when having just tried the move makes a difference: it can be tried here, and would land less often. */
  private canStallIn(holds: HoldSet, move: number): boolean {
    if (move === NONE || this.scenario.repeat === 1) return false
    const shares = this.sharesFor(move, holds)
    return shares !== null && shares.lands > 0
  }

  private sharesFor(move: number, holds: HoldSet): Shares | null {
    const known = sure(this.shares[move])
    let shares = known.get(holds)
    if (shares === undefined) {
      const record = sure(this.index.moves[move])
      shares = sharesOf(this.index, record, record.tries, holds)
      known.set(holds, shares)
    }
    return shares
  }

  private reactionState(reaction: number, holds: HoldSet, met: Meeting): number {
    const { home } = met
    const relevant = holds & sure(this.relevance.reaction[home ? 'home' : 'away'][reaction])
    const stalled = home && this.canStallIn(relevant, met.move) ? met.move : NONE
    const known = mapAt(this.reactionGroups, `${reaction} ${home ? stalled : 'away'}`)
    let group = known.get(relevant)
    if (group === undefined) {
      group = this.newGroup(true, reaction, relevant, { move: stalled, home })
      known.set(relevant, group)
    }
    return this.member(group, NONE)
  }

  private newGroup(isReaction: boolean, place: number, holds: HoldSet, met: Meeting, stalled = NONE): number {
    return this.groups.push({ isReaction, place, holds, members: new Map(), actions: [], met, stalled }) - 1
  }

  private member(group: number, stalled: number): number {
    const { members } = sure(this.groups[group])
    let state = members.get(stalled)
    if (state === undefined) {
      if (this.stateGroup.length - TERMINALS >= this.stateLimit) throw new StateLimit()
      state = this.stateGroup.push(group) - 1
      members.set(stalled, state)
    }
    return state
  }

  private expandReaction(group: DraftGroup): void {
    const { place: reaction, holds, met } = group
    const record = sure(this.index.reactions[reaction])
    const state = this.positionState(concession(this.index, record, holds, met.home), met.home ? met.move : NONE)
    const outcomes = [{ kind: OUTCOME.stalls, state, chance: 1, reaction: NONE }]
    group.actions.push({ move: NONE, answer: NONE, seconds: record.seconds, nothing: state, outcomes })
    for (const answer of record.answers) {
      const action = this.answered(answer, reaction, holds, met.home, state)
      if (action) group.actions.push(action)
    }
  }

  private expand(group: DraftGroup): void {
    if (group.isReaction) this.expandReaction(group)
    else this.expandPosition(group)
  }

  private expandPosition(group: DraftGroup): void {
    const { place, holds } = group
    const wait: DraftAction = { move: NONE, answer: NONE, seconds: 1, nothing: NONE, outcomes: [] }
    for (const [reaction, chance] of unpromptedChances(this.index, place, holds)) {
      const record = sure(this.index.reactions[reaction])
      const met = { move: NONE, home: record.endsIn === place }
      const state = this.reactionState(reaction, metHolds(this.index, record, holds, 0n), met)
      wait.outcomes.push({ kind: OUTCOME.reaction, state, chance, reaction })
    }
    group.actions.push(wait)
    const others = this.fromWhereNothingStalled(group)
    for (const move of sure(this.index.positions[place]).moves) {
      const full = this.inFull(move)
      const same = full === group.stalled ? undefined : others.get(move)
      if (same) {
        group.actions.push(same)
        continue
      }
      const fresh = this.sharesFor(move, holds)
      const shares = fresh && full === group.stalled ? triedAgain(fresh, this.scenario.repeat) : fresh
      if (!shares) continue
      const { stallsIn } = sure(this.index.moves[move])
      const nothing = () =>
        stallsIn === undefined ? this.positionState({ position: place, holds }, full) : this.ownOrCaught(stallsIn)
      group.actions.push(this.tried(move, NONE, shares, holds, true, nothing))
    }
  }

  /**
   * For a group in which a move has just stalled: what is tried where none has, as far as that is known; all but that
   * move is the same.
   */
  private fromWhereNothingStalled({ place, holds, stalled }: DraftGroup): Map<number, DraftAction> {
    const group = stalled === NONE ? undefined : sure(this.positionGroups[place]).get(holds)
    return new Map(group === undefined ? [] : sure(this.groups[group]).actions.map((action) => [action.move, action]))
  }

  private answered(
    answer: IndexedAnswer,
    reaction: number,
    holds: HoldSet,
    home: boolean,
    conceded: number,
  ): DraftAction | null {
    const move = sure(this.index.moves[answer.move])
    const shares = sharesOf(this.index, move, answer.tries, holds)
    if (!shares) return null
    const stayed = home && sure(this.index.reactions[reaction]).endsIn === move.from
    const nothing = () => (answer.stallsIn === undefined ? conceded : this.ownOrCaught(answer.stallsIn))
    return this.tried(answer.move, answer.index, shares, holds, stayed, nothing)
  }

  private ownOrCaught(position: number): number {
    return this.positionState(ownPlace(this.index, position), NONE)
  }

  private tried(
    m: number,
    answer: number,
    shares: Shares,
    holds: HoldSet,
    stayed: boolean,
    nothingState: () => number,
  ): DraftAction {
    const move = sure(this.index.moves[m])
    const outcomes: DraftOutcome[] = []
    const add = (kind: OutcomeKind, state: number, chance: number, reaction = NONE) =>
      outcomes.push({ kind, state, chance, reaction })
    if (shares.lands > 0) {
      add(OUTCOME.lands, this.positionState(landing(this.index, move, holds, stayed), NONE), shares.lands)
    }
    for (const [place, share] of shares.elsewhere) add(OUTCOME.elsewhere, this.ownOrCaught(place), share)
    const mayDoNothing = this.scenario.sharpness > 0 && shares.reactions.length > 0
    const nothing = shares.stalls > 0 || mayDoNothing || move.stallsIn !== undefined ? nothingState() : NONE
    if (shares.stalls > 0) add(OUTCOME.stalls, nothing, shares.stalls)
    for (const [reaction, share] of shares.reactions) {
      const record = sure(this.index.reactions[reaction])
      const met = { move: this.inFull(m), home: record.endsIn === move.from }
      const state = this.reactionState(reaction, metHolds(this.index, record, holds, move.drops), met)
      add(OUTCOME.reaction, state, share, reaction)
    }
    return { move: m, answer, seconds: move.seconds, nothing, outcomes }
  }

  /**
   * For a state in which `stalled` has just stalled: the share of it that no longer lands; null if it cannot be tried.
   */
  lossOf(group: DraftGroup, stalled: number): number | null {
    return repeatLoss(this.sharesFor(stalled, group.holds)!, this.scenario.repeat)
  }
}

function mapAt<K, V>(maps: Map<string, Map<K, V>>, key: string): Map<K, V> {
  let map = maps.get(key)
  if (!map) maps.set(key, (map = new Map<K, V>()))
  return map
}
