import type { Answer } from '../chart/answer'
import { CHART_FORMAT, CHART_VERSION, type Chart } from '../chart/chart'
import type { Hold } from '../chart/hold'
import type { MoveId, PositionId } from '../chart/ids'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Reaction } from '../chart/reaction'

/** Fields of every entry of the Shelf beside its record: whether a coach should check it, and where it comes from. */
interface Entry {
  /** Inferred or doubtful: check with your coach. */
  check?: boolean
  /** Its id in the catalogue that the Shelf is built from. */
  catalogue?: string
}

export interface ShelfPosition extends Position, Entry {
  /** The holds that make it, in words; what it takes from them, and what it leaves. */
  made?: string[]
  takes?: string
  leaves?: string
}

export interface ShelfMove extends Move, Entry {
  /** When to go. */
  cue?: string
  /** The holds that must be on, in words. */
  holdsFirst?: string
  size?: string
  ruleNote?: string
  /** Other positions that it is done from. */
  alsoFrom?: PositionId[]
}

export interface ShelfReaction extends Reaction, Entry {
  /** What it opens for us, and how often it is met. */
  opens?: string
  common?: string
}

/** When, what, and why; where practitioners agree. */
export interface DecisionRule extends Entry {
  id: string
  /** Positions in which it applies. */
  at: PositionId[]
  /** The cue. */
  when: string
  /** The moves that it prefers, and those that it rejects in their favour. */
  prefer?: MoveId[]
  over?: MoveId[]
  then: string
  because: string
}

/** One way of doing something, and when or why it is better; the moves that are done by it. */
export interface View {
  id: string
  says: string
  because?: string
  moves?: MoveId[]
}

/** Where practitioners do not agree. `on`: the positions and moves that it is about. */
export interface Variant extends Entry {
  id: string
  on: string[]
  question: string
  views: View[]
}

export interface Caution extends Entry {
  id: string
  text: string
}

/** A part of the Shelf, as it is kept in a file of its own. */
export interface ShelfRegion {
  id: string
  title: string
  positions: ShelfPosition[]
  holds: Hold[]
  moves: ShelfMove[]
  reactions: ShelfReaction[]
  answers: Answer[]
  rules: DecisionRule[]
  variants: Variant[]
  cautions: Caution[]
}

export interface Shelf {
  regions: readonly ShelfRegion[]
  positions: ShelfPosition[]
  holds: Hold[]
  moves: ShelfMove[]
  reactions: ShelfReaction[]
  answers: Answer[]
  /** The region of every position, move and reaction, by its id. */
  regionOf: Map<string, ShelfRegion>
}

/** The regions as one. */
export function joinRegions(regions: readonly ShelfRegion[]): Shelf {
  const regionOf = new Map<string, ShelfRegion>()
  for (const region of regions) {
    for (const { id } of [...region.positions, ...region.moves, ...region.reactions]) regionOf.set(id, region)
  }
  return {
    regions,
    positions: regions.flatMap((region) => region.positions),
    holds: regions.flatMap((region) => region.holds),
    moves: regions.flatMap((region) => region.moves),
    reactions: regions.flatMap((region) => region.reactions),
    answers: regions.flatMap((region) => region.answers),
    regionOf,
  }
}

/** The whole Shelf as a chart: what the validator of charts says of it holds for the Shelf. */
export function shelfAsChart({ positions, holds, moves, reactions, answers }: Shelf): Chart {
  return {
    ...{ format: CHART_FORMAT, version: CHART_VERSION, id: 'shelf', title: 'The Shelf' },
    ...{ positions, holds, moves, reactions, answers },
  }
}
