import { sure } from '../sure'
import { NO_HOLDS, within, without, type HoldSet } from '../holds/holdTable'
import type { Position, Threat } from '../chart/position'
import type { Person } from '../chart/words'
import type { ChartIndex, IndexedMove, IndexedPosition } from './chartIndex'
import { NONE } from './game'
import { reactionsOf, type TryCounts } from './tryCounts'
import { carriesAll } from './rules'

/**
 * Which holds can still matter where: a backward liveness analysis over positions and reactions
 * (Aho, Lam, Sethi & Ullman, Compilers, 9.2.5, with holds for variables).
 * Each hold's fate depends on itself alone (`settle` removes what conflicts with a constant set), so leaving out
 * a hold that is not live changes nothing that follows. A first, forward pass finds which holds may be on at all.
 */
export interface Relevance {
  /** Holds that matter in a position, and on coming to it, where what is seen may depend on them. */
  position: HoldSet[]
  arrival: HoldSet[]
  /** Holds that matter in a reaction met where it ends (`home`), and in one met elsewhere. */
  reaction: { home: HoldSet[]; away: HoldSet[] }
}

/** A passage between two places: holds outside `survives` are off afterwards, `gains` may be on. */
interface Passage {
  from: number
  to: number
  survives: HoldSet
  gains: HoldSet
  /** Not walked before all of these may be on. */
  needs: HoldSet
}

/** Relevance for every position and reaction of the chart, whatever the start. */
export function relevantHolds(index: ChartIndex): Relevance {
  if (index.holds.all === NO_HOLDS) return noneRelevant(index)
  const walk = new Passages(index)
  const may = walk.mayBeOn()
  const live = walk.liveHolds(may)
  const places = index.positions.length
  return {
    position: live.slice(0, places),
    arrival: index.positions.map((_, p) => sure(live[walk.arrival(p)])),
    reaction: {
      home: index.reactions.map((_, r) => sure(live[places + 2 * r])),
      away: index.reactions.map((_, r) => sure(live[places + 2 * r + 1])),
    },
  }
}

function noneRelevant({ positions, reactions }: ChartIndex): Relevance {
  const none = reactions.map(() => NO_HOLDS)
  const noHolds = positions.map(() => NO_HOLDS)
  return { position: noHolds, arrival: noHolds, reaction: { home: none, away: none } }
}

/** What may end an exchange in a position by what they can do. */
type Ends = Partial<Pick<Position, 'threat' | 'out'>> & { struck?: Threat | undefined }

class Passages {
  private readonly passages: Passage[] = []
  private readonly count: number
  private readonly all: HoldSet
  /** By position: the node of coming to it. Where nothing is seen, that is the position itself. */
  private readonly arrivals: number[]

  constructor(private readonly index: ChartIndex) {
    let count = index.positions.length + 2 * index.reactions.length
    this.arrivals = index.positions.map(({ seen }, p) => (seen.length ? count++ : p))
    this.count = count
    this.all = index.holds.all
    this.arrivals.forEach((node, p) => {
      if (node !== p) this.passages.push(this.passage(node, p, this.all, NO_HOLDS, NO_HOLDS))
    })
    index.positions.forEach((_, p) => this.fromPosition(p))
    index.reactions.forEach((_, r) => this.fromReaction(r))
  }

  arrival(p: number): number {
    return sure(this.arrivals[p])
  }

  private reactionNode(r: number, home: boolean): number {
    return this.index.positions.length + 2 * r + (home ? 0 : 1)
  }

  private fromPosition(p: number): void {
    const { moves, unprompted } = sure(this.index.positions[p])
    for (const [r] of unprompted) this.meets(p, r, sure(this.index.reactions[r]).endsIn === p, NO_HOLDS, NO_HOLDS)
    for (const m of moves) {
      const move = sure(this.index.moves[m])
      this.tried(p, move, move.tries, true)
      if (move.stallsIn !== undefined) this.arrives(p, move.stallsIn, move.needs)
      if (move.slips) this.arrives(p, move.slips.to, move.needs)
    }
  }

  private fromReaction(r: number): void {
    const { endsIn, answers } = sure(this.index.reactions[r])
    for (const home of [true, false]) {
      const node = this.reactionNode(r, home)
      if (home && endsIn >= 0)
        this.passages.push(this.passage(node, this.arrival(endsIn), this.all, NO_HOLDS, NO_HOLDS))
      if (!home) this.arrives(node, endsIn, NO_HOLDS, sure(this.index.reactions[r]).adds)
      for (const answer of answers) {
        const move = sure(this.index.moves[answer.move])
        this.tried(node, move, answer.tries, home && move.from === endsIn)
        if (answer.stallsIn !== undefined) this.arrives(node, answer.stallsIn, move.needs)
      }
    }
  }

  /** All holds but these, which come on anew, and those that share a limb with one of them. */
  private withoutRivals(added: HoldSet): HoldSet {
    return without(without(this.all, added), this.index.holds.sharingLimbs(added))
  }

  private tried(node: number, move: IndexedMove, tries: TryCounts, stayed: boolean): void {
    for (const [place] of tries.elsewhere) this.arrives(node, place, move.needs)
    for (const r of reactionsOf(tries)) {
      this.meets(node, r, sure(this.index.reactions[r]).endsIn === move.from, move.drops, move.needs)
    }
    if (move.to < 0) return
    let survives = without(this.withoutRivals(move.adds), move.drops | move.strips)
    let gains = move.adds
    if (!(move.to === move.from && !move.across && stayed)) {
      const { own } = sure(this.index.positions[move.to])
      if (!carriesAll(this.index, move)) survives &= move.keeps
      survives = within(survives, this.withoutRivals(own))
      gains |= own
    }
    this.passages.push(this.passage(node, this.arrival(move.to), survives, gains, move.needs))
  }

  private meets(node: number, r: number, home: boolean, drops: HoldSet, needs: HoldSet): void {
    const { strips, adds } = sure(this.index.reactions[r])
    const survives = without(without(this.withoutRivals(adds), drops), strips)
    this.passages.push(this.passage(node, this.reactionNode(r, home), survives, adds, needs))
  }

  /** Into a position with its own holds and perhaps `gains`, whatever was on. */
  private arrives(node: number, place: number, needs: HoldSet, gains = NO_HOLDS): void {
    if (place < 0) return
    const { own } = sure(this.index.positions[place])
    this.passages.push(this.passage(node, this.arrival(place), NO_HOLDS, own | gains, needs))
  }

  private passage(from: number, to: number, survives: HoldSet, gains: HoldSet, needs: HoldSet): Passage {
    return { from, to, survives, gains, needs }
  }

  /** Forward: the holds that may be on in each place, starting anywhere with the position's own. */
  mayBeOn(): HoldSet[] {
    const may: HoldSet[] = new Array<HoldSet>(this.count).fill(NO_HOLDS)
    this.index.positions.forEach(({ own }, p) => (may[p] = may[this.arrival(p)] = own))
    this.untilStable('from', ({ from, to, survives, gains, needs }) => {
      if ((needs & sure(may[from])) !== needs) return NONE
      return grow(may, to, (sure(may[from]) & survives) | gains) ? to : NONE
    })
    return may
  }

  /** Backward: the holds that some need or denial may yet ask for. */
  liveHolds(may: HoldSet[]): HoldSet[] {
    const live = may.map((on, node) => this.askedFor(node, on))
    this.untilStable('to', ({ from, to, survives, needs }) => {
      if ((needs & sure(may[from])) !== needs) return NONE
      return grow(live, from, sure(live[to]) & survives) ? from : NONE
    })
    return live
  }

  /**
   * Walks the passages at each node, and again at a node whose set has grown, until none grows any more. `end`: which
   * end of a passage it is walked from; `walk` returns the node whose set grew, or NONE.
   */
  private untilStable(end: 'from' | 'to', walk: (passage: Passage) => number): void {
    const at: Passage[][] = Array.from({ length: this.count }, () => [])
    for (const passage of this.passages) sure(at[passage[end]]).push(passage)
    const waiting = [...at.keys()]
    const isWaiting = new Uint8Array(this.count).fill(1)
    for (let node = waiting.pop(); node !== undefined; node = waiting.pop()) {
      isWaiting[node] = 0
      for (const passage of sure(at[node])) {
        const grown = walk(passage)
        if (grown === NONE || isWaiting[grown]) continue
        isWaiting[grown] = 1
        waiting.push(grown)
      }
    }
  }

  /** What the place itself asks for: needs, and what denies the moves, reactions and the threat in it. */
  private askedFor(node: number, on: HoldSet): HoldSet {
    const places = this.index.positions.length
    if (node < places) {
      const { moves, unprompted, record, struck } = sure(this.index.positions[node])
      let asked = this.hinderingEnds({ ...record, struck }, on)
      for (const [r] of unprompted) asked |= this.denying(sure(this.index.reactions[r]).record, 'ours', on)
      for (const m of moves) asked |= this.askedBy(sure(this.index.moves[m]), sure(this.index.moves[m]).tries, on)
      return asked
    }
    const seen = this.arrivals.indexOf(node)
    if (seen >= 0) return this.hinderingCues(sure(this.index.positions[seen]), on)
    const { endsIn, answers } = sure(this.index.reactions[(node - places) >> 1])
    const { record, struck } = endsIn < 0 ? {} : sure(this.index.positions[endsIn])
    return answers.reduce(
      (asked, answer) => asked | this.askedBy(sure(this.index.moves[answer.move]), answer.tries, on),
      this.hinderingEnds({ ...record, struck }, on),
    )
  }

  /** What hinders them in finishing us, in hitting us, or in getting away. */
  private hinderingEnds({ threat, out, struck }: Ends, on: HoldSet): HoldSet {
    return [threat, out, struck].reduce((all, one) => all | this.denying(one ?? {}, 'ours', on), NO_HOLDS)
  }

  private hinderingCues({ seen }: IndexedPosition, on: HoldSet): HoldSet {
    return seen.reduce((asked, { record }) => asked | this.denying(record ?? {}, 'ours', on), NO_HOLDS)
  }

  private askedBy(move: IndexedMove, tries: TryCounts, on: HoldSet): HoldSet {
    if ((move.needs & on) !== move.needs) return NO_HOLDS
    let asked = move.needs
    if (tries.lands > 0 || tries.race) asked |= this.denying(move.record, 'theirs', on)
    for (const r of reactionsOf(tries)) {
      asked |= this.denying(sure(this.index.reactions[r]).record, 'ours', on) & ~move.drops
    }
    return asked
  }

  /** One of several ways (`usesAny`) only matters once every one of them can be hindered. */
  private denying(
    { uses = [], usesAny = [] }: { uses?: string[]; usesAny?: string[] },
    by: Person,
    on: HoldSet,
  ): HoldSet {
    const table = this.index.holds
    const each = usesAny.map((use) => table.denying(use, by) & on)
    const any = each.every((set) => set !== NO_HOLDS) ? each : []
    return [...uses.map((use) => table.denying(use, by) & on), ...any].reduce((set, more) => set | more, NO_HOLDS)
  }
}

/** Adds to a place's set; true when that changed it. */
function grow(sets: HoldSet[], at: number, more: HoldSet): boolean {
  const grown = sure(sets[at]) | more
  if (grown === sets[at]) return false
  sets[at] = grown
  return true
}
