import { sure } from '../sure'
import { NO_HOLDS, within, type HoldSet } from '../holds/holdTable'
import type { ChartIndex, IndexedAnswer } from './chartIndex'
import { CAUGHT, FINISH, OVER } from './tryCounts'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type OutcomeKind } from './game'
import { relevantHolds, type Relevance } from './relevance'
import {
  concession,
  landing,
  metHolds,
  repeatLoss,
  triedAgain,
  sharesOf,
  unpromptedChances,
  type Shares,
} from './rules'
import type { Scenario } from './scenario'
import { SetTable } from './setTable'

/** The states reached from a start, still in lists; `layOut` makes typed arrays of it. */

/** The outcomes of all actions in columns, since there are many of them. */
export interface DraftOutcomes {
  kind: OutcomeKind[]
  state: number[]
  chance: number[]
  reaction: number[]
}

export interface DraftAction {
  move: number
  answer: number
  seconds: number
  nothing: number
  /** The part of what comes to nothing that slips, and the state where that leads, or NONE. */
  slips: number
  slipsTo: number
  /** Its outcomes: from `from` to before `to`. */
  from: number
  to: number
  /** The first of its numbers in the game: an action that stands in several groups has several. */
  row: number
}

export interface DraftGroup {
  isReaction: boolean
  /** Index of the position or reaction. */
  place: number
  holds: HoldSet
  /** Its states, and by each the move that has just stalled, or NONE. */
  states: number[]
  justStalled: number[]
  /**
   * The move (in full) that has just stalled in all states of the group, where that changes more than one action; else
   * NONE.
   */
  stalled: number
  actions: DraftAction[]
  /** For a reaction: the move that met it, or NONE for unprompted; and whether it ends where that move is from. */
  metBy: number
  isHome: boolean
}

/** An action. Written out in one place only, so that all are of one shape, which is read in half of the time. */
const draft = (
  move: number,
  answer: number,
  seconds: number,
  nothing: number,
  slips: number,
  slipsTo: number,
  from: number,
  to: number,
): DraftAction => ({ move, answer, seconds, nothing, slips, slipsTo, from, to, row: NONE })

export class StateLimit extends Error {}

const NOTHING: ReadonlyMap<number, DraftAction> = new Map<number, DraftAction>()

/** In place of a move that has just stalled: a reaction met elsewhere than where it ends. */
const AWAY = -2

/**
 * Breadth-first search for states; each position with its holds is expanded once for all that may have stalled in it.
 */
export class Search {
  readonly groups: DraftGroup[] = []
  readonly outcomes: DraftOutcomes = { kind: [], state: [], chance: [], reaction: [] }
  /** Group of each state; terminals have none. */
  readonly stateGroup: number[] = new Array<number>(TERMINALS).fill(NONE)
  private readonly relevance: Relevance
  /** By position: 1 for a goal. */
  private readonly isGoal: Uint8Array
  private readonly positionGroups = new SetTable<number>()
  /** Moves that may also be only shown; and groups in which such a move has just stalled. */
  private readonly shown: Set<number>
  private readonly stalledGroups = new SetTable<number>()
  private readonly reactionGroups = new SetTable<number>()
  private readonly pairs = new Map<number, number>()
  private readonly shares = new SetTable<Shares | null>()
  private expanded = 0

  constructor(
    readonly index: ChartIndex,
    private readonly scenario: Scenario,
    private readonly stateLimit: number,
  ) {
    this.relevance = relevantHolds(index)
    this.isGoal = new Uint8Array(index.positions.length)
    for (const id of scenario.goal) this.isGoal[index.positionOf.get(id)!] = 1
    this.shown = new Set(scenario.probe ? index.moves.flatMap(({ probeOf }) => probeOf ?? []) : [])
  }

  /** Expands until nothing new is found. Throws `StateLimit`. */
  exhaust(): void {
    for (; this.expanded < this.groups.length; this.expanded++) this.expand(sure(this.groups[this.expanded]))
  }

  /** The state of a position with its own holds and `stalled` (a move or NONE) just stalled. */
  ownState(position: number, stalled = NONE): number {
    return this.positionState(position, sure(this.index.positions[position]).own, stalled)
  }

  /** True when the position with its own holds and nothing stalled has been found. */
  hasFoundOwn(position: number): boolean {
    const relevant = sure(this.index.positions[position]).own & sure(this.relevance.position[position])
    const group = this.positionGroups.get(position, relevant)
    return group !== undefined && sure(this.groups[group]).justStalled.includes(NONE)
  }

  private positionState(position: number, holds: HoldSet, stalled: number): number {
    if (position === FINISH) return TERMINAL.finish
    if (position === CAUGHT) return TERMINAL.caught
    if (position === OVER) return TERMINAL.over
    if (this.isGoal[position]) return TERMINAL.goal
    const relevant = within(holds, sure(this.relevance.position[position]))
    const just = this.canStallIn(relevant, stalled) ? stalled : NONE
    const apart = just !== NONE && this.shown.has(just)
    const groups = apart ? this.stalledGroups : this.positionGroups
    const at = apart ? this.pairOf(position, just) : position
    let group = groups.get(at, relevant)
    if (group === undefined) {
      group = this.newGroup(false, position, relevant, NONE, true, apart ? just : NONE)
      groups.add(at, relevant, group)
    }
    return this.member(group, apart ? NONE : just)
  }

  private inFull(move: number): number {
    return sure(this.index.moves[move]).probeOf ?? move
  }

  /** True when having just tried the move makes a difference: it can be tried here, and would land less often. */
  private canStallIn(holds: HoldSet, move: number): boolean {
    if (move === NONE || this.scenario.repeat === 1 || sure(this.index.moves[move]).isReply) return false
    const shares = this.sharesFor(move, holds)
    return shares !== null && shares.lands > 0
  }

  private sharesFor(move: number, holds: HoldSet): Shares | null {
    let shares = this.shares.get(move, holds)
    if (shares === undefined) {
      const record = sure(this.index.moves[move])
      shares = sharesOf(this.index, record, record.tries, holds)
      this.shares.add(move, holds, shares)
    }
    return shares
  }

  /** The number of a place together with what has just stalled there: a move, NONE or `AWAY`. */
  private pairOf(place: number, stalled: number): number {
    const pair = place * (this.index.moves.length + 2) + stalled + 2
    const known = this.pairs.get(pair)
    if (known === undefined) this.pairs.set(pair, this.pairs.size)
    return known ?? this.pairs.size - 1
  }

  /** The state in which a reaction is met; `isHome`: it ends in the position that the move which met it is from. */
  private reactionState(reaction: number, holds: HoldSet, move: number, isHome: boolean): number {
    const relevant = within(
      holds,
      sure((isHome ? this.relevance.reaction.home : this.relevance.reaction.away)[reaction]),
    )
    const stalled = isHome && this.canStallIn(relevant, move) ? move : NONE
    const at = this.pairOf(reaction, isHome ? stalled : AWAY)
    let group = this.reactionGroups.get(at, relevant)
    if (group === undefined) {
      group = this.newGroup(true, reaction, relevant, stalled, isHome, NONE)
      this.reactionGroups.add(at, relevant, group)
    }
    return this.member(group, NONE)
  }

  private newGroup(
    isReaction: boolean,
    place: number,
    holds: HoldSet,
    metBy: number,
    isHome: boolean,
    stalled: number,
  ): number {
    const group = { isReaction, place, holds, states: [], justStalled: [], stalled, actions: [], metBy, isHome }
    return this.groups.push(group) - 1
  }

  private member(group: number, stalled: number): number {
    const { states, justStalled } = sure(this.groups[group])
    const known = justStalled.indexOf(stalled)
    if (known >= 0) return sure(states[known])
    if (this.stateGroup.length - TERMINALS >= this.stateLimit) throw new StateLimit()
    const state = this.stateGroup.push(group) - 1
    states.push(state)
    justStalled.push(stalled)
    return state
  }

  private add(kind: OutcomeKind, state: number, chance: number, reaction: number): void {
    this.outcomes.kind.push(kind)
    this.outcomes.state.push(state)
    this.outcomes.chance.push(chance)
    this.outcomes.reaction.push(reaction)
  }

  private expandReaction(group: DraftGroup): void {
    const { place: reaction, holds, metBy, isHome } = group
    const record = sure(this.index.reactions[reaction])
    const conceded = concession(this.index, record, holds, isHome)
    const state = this.positionState(conceded.position, conceded.holds, isHome ? metBy : NONE)
    const from = this.outcomes.kind.length
    this.add(OUTCOME.stalls, state, 1, NONE)
    group.actions.push(draft(NONE, NONE, record.seconds, state, 0, NONE, from, from + 1))
    for (const answer of record.answers) {
      const action = this.answered(answer, reaction, holds, isHome, state)
      if (action) group.actions.push(action)
    }
  }

  private expand(group: DraftGroup): void {
    if (group.isReaction) this.expandReaction(group)
    else this.expandPosition(group)
  }

  private expandPosition(group: DraftGroup): void {
    const { place, holds } = group
    const from = this.outcomes.kind.length
    for (const [reaction, chance] of unpromptedChances(this.index, place, holds)) {
      const record = sure(this.index.reactions[reaction])
      const on = metHolds(this.index, record, holds, NO_HOLDS)
      this.add(OUTCOME.reaction, this.reactionState(reaction, on, NONE, record.endsIn === place), chance, reaction)
    }
    const to = this.outcomes.kind.length
    group.actions.push(draft(NONE, NONE, 1, NONE, 0, NONE, from, to))
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
      group.actions.push(this.tried(move, null, shares, holds, true, NONE))
    }
  }

  /**
   * For a group in which a move has just stalled: what is tried where none has, as far as that is known; all but that
   * move is the same.
   */
  private fromWhereNothingStalled({ place, holds, stalled }: DraftGroup): ReadonlyMap<number, DraftAction> {
    const group = stalled === NONE ? undefined : this.positionGroups.get(place, holds)
    if (group === undefined) return NOTHING
    return new Map(sure(this.groups[group]).actions.map((action) => [action.move, action]))
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
    return this.tried(answer.move, answer, shares, holds, stayed, conceded)
  }

  private ownOrEnd(position: number): number {
    return position < 0 ? this.positionState(position, NO_HOLDS, NONE) : this.ownState(position)
  }

  /** Where we are when nothing has come of a move tried cold (answer null), or as an answer in place of conceding. */
  private stalledState(m: number, answer: IndexedAnswer | null, holds: HoldSet, conceded: number): number {
    const move = sure(this.index.moves[m])
    const { stallsIn } = answer ?? move
    if (stallsIn !== undefined) return this.ownOrEnd(stallsIn)
    return answer ? conceded : this.positionState(move.from, holds, this.inFull(m))
  }

  private tried(
    m: number,
    answer: IndexedAnswer | null,
    shares: Shares,
    holds: HoldSet,
    stayed: boolean,
    conceded: number,
  ): DraftAction {
    const move = sure(this.index.moves[m])
    const from = this.outcomes.kind.length
    if (shares.lands > 0) {
      const place = landing(this.index, move, holds, stayed)
      this.add(OUTCOME.lands, this.positionState(place.position, place.holds, NONE), shares.lands, NONE)
    }
    for (const [place, share] of shares.elsewhere) this.add(OUTCOME.elsewhere, this.ownOrEnd(place), share, NONE)
    const mayDoNothing = this.scenario.sharpness > 0 && shares.reactions.length > 0
    const hasNothing = shares.stalls > 0 || mayDoNothing || move.stallsIn !== undefined
    const nothing = hasNothing ? this.stalledState(m, answer, holds, conceded) : NONE
    const slips = answer ? undefined : move.slips
    const slipped = slips?.share ?? 0
    const slipsTo = slips ? this.ownOrEnd(slips.to) : NONE
    const slip = shares.stalls * slipped
    if (shares.stalls > slip) this.add(OUTCOME.stalls, nothing, shares.stalls * (1 - slipped), NONE)
    if (slip > 0) this.add(OUTCOME.slips, slipsTo, slip, NONE)
    for (const [reaction, share] of shares.reactions) {
      const record = sure(this.index.reactions[reaction])
      const on = metHolds(this.index, record, holds, move.drops)
      const state = this.reactionState(reaction, on, this.inFull(m), record.endsIn === move.from)
      this.add(OUTCOME.reaction, state, share, reaction)
    }
    const to = this.outcomes.kind.length
    return draft(m, answer?.index ?? NONE, move.seconds, nothing, slipped, slipsTo, from, to)
  }

  /**
   * For a state in which `stalled` has just stalled: the share of it that no longer lands; null if it cannot be tried.
   */
  lossOf(group: DraftGroup, stalled: number): number | null {
    return repeatLoss(this.sharesFor(stalled, group.holds)!, this.scenario.repeat)
  }
}
