import { sure } from '../sure'
import { NO_HOLDS, within, type HoldSet } from '../holds/holdTable'
import type { ChartIndex, IndexedAnswer, IndexedMove } from './chartIndex'
import {
  draft,
  positionGroup,
  reactionGroup,
  type DraftAction,
  type DraftGroup,
  type DraftOutcomes,
  type DraftSight,
} from './drafts'
import { CAUGHT, FINISH, OVER } from './tryCounts'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type OutcomeKind } from './game'
import { relevantHolds, type Relevance } from './relevance'
import {
  concession,
  landing,
  metHolds,
  repeatLoss,
  sightsIn,
  triedAgain,
  sharesOf,
  unpromptedChances,
  type Shares,
} from './rules'
import type { Scenario } from './scenario'
import { SetTable } from './setTable'

export class StateLimit extends Error {}

/** Whether a move may be tried from its position while this cue is seen there, or (NONE) nothing in particular. */
const waitsForNoOther = ({ when }: IndexedMove, cue: number): boolean => when.length === 0 || when.includes(cue)

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
  /**
   * Positions with holds that an exchange comes to before what is seen there has been dealt: a group each, in which
   * nothing is done; and by state of it, what may be seen.
   */
  readonly arrivals: DraftGroup[] = []
  readonly sights = new Map<number, DraftSight[]>()
  private readonly relevance: Relevance
  /** By position: 1 for a goal. */
  private readonly isGoal: Uint8Array
  /** By position: cues that moves there wait for. Others merge with nothing in particular. */
  private readonly chosenBy: ReadonlySet<number>[]
  private readonly arrivalGroups = new SetTable<DraftGroup>()
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
    this.chosenBy = index.positions.map(({ moves }) => new Set(moves.flatMap((m) => sure(index.moves[m]).when)))
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
    const { own, seen } = sure(this.index.positions[position])
    if (seen.length) {
      const relevant = own & sure(this.relevance.arrival[position])
      return this.arrivalGroups.get(position, relevant)?.justStalled.includes(NONE) ?? false
    }
    const group = this.positionGroups.get(position, own & sure(this.relevance.position[position]))
    return group !== undefined && sure(this.groups[group]).justStalled.includes(NONE)
  }

  private positionState(position: number, holds: HoldSet, stalled: number): number {
    if (position === FINISH) return TERMINAL.finish
    if (position === CAUGHT) return TERMINAL.caught
    if (position === OVER) return TERMINAL.over
    if (this.isGoal[position]) return TERMINAL.goal
    return sure(this.index.positions[position]).seen.length
      ? this.arrivalState(position, holds, stalled)
      : this.seenState(position, holds, stalled, NONE)
  }

  /** The state in which an exchange comes to a position where what is seen is dealt. */
  private arrivalState(position: number, holds: HoldSet, stalled: number): number {
    const relevant = within(holds, sure(this.relevance.arrival[position]))
    const sights = sightsIn(this.index, position, relevant)
    const just = sights.some(([cue]) => this.canStallIn(relevant, stalled, cue)) ? stalled : NONE
    let group = this.arrivalGroups.get(position, relevant)
    if (group === undefined) {
      group = positionGroup(position, relevant)
      this.arrivals.push(group)
      this.arrivalGroups.add(position, relevant, group)
    }
    const known = group.justStalled.indexOf(just)
    if (known >= 0) return sure(group.states[known])
    const state = this.stateGroup.push(NONE) - 1
    group.states.push(state)
    group.justStalled.push(just)
    const seen = sights.map(([cue, share]) => ({ cue, state: this.seenState(position, holds, stalled, cue), share }))
    this.sights.set(state, seen)
    return state
  }

  /** The state of a position once it is known what is seen there. */
  private seenState(position: number, holds: HoldSet, stalled: number, cue: number): number {
    const relevant = within(holds, sure(this.relevance.position[position]))
    const seen = sure(this.chosenBy[position]).has(cue) ? cue : NONE
    const just = this.canStallIn(relevant, stalled, seen) ? stalled : NONE
    const apart = just !== NONE && this.shown.has(just)
    const groups = apart ? this.stalledGroups : this.positionGroups
    const place = this.placeOf(position, seen)
    const at = apart ? this.pairOf(place, just) : place
    let group = groups.get(at, relevant)
    if (group === undefined) {
      group = this.groups.push(positionGroup(position, relevant, seen, apart ? just : NONE)) - 1
      groups.add(at, relevant, group)
    }
    return this.member(group, apart ? NONE : just)
  }

  /** The number of a position together with what is seen there; that of the position where that is nothing. */
  private placeOf(position: number, cue: number): number {
    return (cue + 1) * this.index.positions.length + position
  }

  private inFull(move: number): number {
    return sure(this.index.moves[move]).probeOf ?? move
  }

  /** True when having just tried the move makes a difference: it can be tried here, and would land less often. */
  private canStallIn(holds: HoldSet, move: number, cue: number): boolean {
    if (move === NONE || this.scenario.repeat === 1 || sure(this.index.moves[move]).isReply) return false
    if (!waitsForNoOther(sure(this.index.moves[move]), cue)) return false
    const shares = this.sharesFor(move, holds)
    return shares !== null && shares.lands > 0
  }

  /** The same, whatever may be seen there. */
  private mayStallIn(holds: HoldSet, move: number): boolean {
    if (move === NONE) return false
    const { seen } = sure(this.index.positions[sure(this.index.moves[move]).from])
    return seen.length ? seen.some(({ cue }) => this.canStallIn(holds, move, cue)) : this.canStallIn(holds, move, NONE)
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
    const stalled = isHome && this.mayStallIn(relevant, move) ? move : NONE
    const at = this.pairOf(reaction, isHome ? stalled : AWAY)
    let group = this.reactionGroups.get(at, relevant)
    if (group === undefined) {
      group = this.groups.push(reactionGroup(reaction, relevant, stalled, isHome)) - 1
      this.reactionGroups.add(at, relevant, group)
    }
    return this.member(group, NONE)
  }

  private member(group: number, stalled: number): number {
    const { states, justStalled } = sure(this.groups[group])
    const known = justStalled.indexOf(stalled)
    if (known >= 0) return sure(states[known])
    if (this.stateGroup.length - TERMINALS - this.sights.size >= this.stateLimit) throw new StateLimit()
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
    const { place, holds, seen } = group
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
      if (!waitsForNoOther(sure(this.index.moves[move]), seen)) continue
      const full = this.inFull(move)
      const same = full === group.stalled ? undefined : others.get(move)
      if (same) {
        group.actions.push(same)
        continue
      }
      const fresh = this.sharesFor(move, holds)
      const shares = fresh && full === group.stalled ? triedAgain(fresh, this.scenario.repeat) : fresh
      if (!shares) continue
      group.actions.push(this.tried(move, null, shares, holds, true, NONE, seen))
    }
  }

  /**
   * For a group in which a move has just stalled: what is tried where none has, as far as that is known; all but that
   * move is the same.
   */
  private fromWhereNothingStalled({ place, holds, stalled, seen }: DraftGroup): ReadonlyMap<number, DraftAction> {
    const group = stalled === NONE ? undefined : this.positionGroups.get(this.placeOf(place, seen), holds)
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
    return this.tried(answer.move, answer, shares, holds, stayed, conceded, NONE)
  }

  private ownOrEnd(position: number): number {
    return position < 0 ? this.positionState(position, NO_HOLDS, NONE) : this.ownState(position)
  }

  /**
   * Where we are when nothing has come of a move tried cold (answer null), while `seen` is and stays seen, or as an
   * answer in place of conceding.
   */
  private stalledState(
    m: number,
    answer: IndexedAnswer | null,
    holds: HoldSet,
    conceded: number,
    seen: number,
  ): number {
    const move = sure(this.index.moves[m])
    const { stallsIn } = answer ?? move
    if (stallsIn !== undefined) return this.ownOrEnd(stallsIn)
    if (answer) return conceded
    return this.seenState(move.from, holds, this.inFull(m), seen)
  }

  private tried(
    m: number,
    answer: IndexedAnswer | null,
    shares: Shares,
    holds: HoldSet,
    stayed: boolean,
    conceded: number,
    seen: number,
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
    const nothing = hasNothing ? this.stalledState(m, answer, holds, conceded, seen) : NONE
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
