import { CHART_FORMAT, CHART_VERSION, type Chart } from '../chart/chart'
import type { Cue } from '../chart/cue'
import type { Hold } from '../chart/hold'
import type {
  Caution,
  DecisionRule,
  FlowDrill,
  ShelfAnswer,
  ShelfMove,
  ShelfPosition,
  ShelfReaction,
  Variant,
} from './shelfRecords'

/** A part of the Shelf, as it is kept in a file of its own. */
export interface ShelfRegion {
  id: string
  title: string
  positions: ShelfPosition[]
  holds: Hold[]
  cues?: Cue[]
  moves: ShelfMove[]
  reactions: ShelfReaction[]
  answers: ShelfAnswer[]
  rules: DecisionRule[]
  variants: Variant[]
  cautions: Caution[]
  flows?: FlowDrill[]
  author?: string
  licence?: string
  edition?: number
}

export interface Shelf {
  regions: readonly ShelfRegion[]
  positions: ShelfPosition[]
  holds: Hold[]
  cues: Cue[]
  moves: ShelfMove[]
  reactions: ShelfReaction[]
  answers: ShelfAnswer[]
  flows: FlowDrill[]
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
    cues: regions.flatMap((region) => region.cues ?? []),
    moves: regions.flatMap((region) => region.moves),
    reactions: regions.flatMap((region) => region.reactions),
    answers: regions.flatMap((region) => region.answers),
    flows: regions.flatMap((region) => region.flows ?? []),
    regionOf,
  }
}

/** The whole Shelf as a chart: what the validator of charts says of it holds for the Shelf. */
export function shelfAsChart({ positions, holds, cues, moves, reactions, answers }: Shelf): Chart {
  return {
    ...{ format: CHART_FORMAT, version: CHART_VERSION, id: 'shelf', title: 'The Shelf' },
    ...{ positions, holds, cues, moves, reactions, answers },
  }
}
