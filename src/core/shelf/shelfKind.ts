import { Equals, IsInt, IsString, Min } from 'class-validator'
import { CHAIN_LISTS, CHAIN_NORMALISERS, chainKey, MAX_CHAIN } from '../chart/chainRecords'
import { Cue } from '../chart/cue'
import { Hold } from '../chart/hold'
import { checkReferences } from '../chart/references'
import { IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import type { DocumentKind, Normaliser } from '../document/kind'
import { joinRegions, shelfAsChart, type ShelfRegion } from './shelf'
import { checkFlows } from './flows'
import { SHELF_FILE } from './shelfFile'
import {
  Caution,
  DecisionRule,
  FlowDrill,
  ShelfAnswer,
  ShelfMove,
  ShelfPosition,
  ShelfReaction,
  Variant,
} from './shelfRecords'

const { format: SHELF_FORMAT, version: SHELF_VERSION } = SHELF_FILE

/** A shelf of the coach's own, as it is stored and written to a file. */
class Shelf {
  @Equals(SHELF_FORMAT) format!: typeof SHELF_FORMAT
  @Equals(SHELF_VERSION) version!: typeof SHELF_VERSION
  @IsRecordId() id!: string
  @IsWord() title!: string
  @Records(() => ShelfPosition) positions!: ShelfPosition[]
  @Records(() => Hold) holds!: Hold[]
  @Optional() @Records(() => Cue) cues?: Cue[]
  @Records(() => ShelfMove) moves!: ShelfMove[]
  @Records(() => ShelfReaction) reactions!: ShelfReaction[]
  @Records(() => ShelfAnswer) answers!: ShelfAnswer[]
  @Records(() => DecisionRule) rules!: DecisionRule[]
  @Records(() => Variant) variants!: Variant[]
  @Records(() => Caution) cautions!: Caution[]
  @Optional() @Records(() => FlowDrill) flows?: FlowDrill[]
  @Optional() @IsString() notes?: string
  /** Who made it, in their own words; under what others may use it; and which edition it is. */
  @Optional() @IsWord() author?: string
  @Optional() @IsWord() licence?: string
  @Optional() @IsInt() @Min(1) edition?: number
}

export interface OwnShelf extends ShelfRegion {
  format: typeof SHELF_FORMAT
  version: typeof SHELF_VERSION
}

/** A region as a document of its own. */
export const ownShelf = (region: ShelfRegion): OwnShelf => ({ format: SHELF_FORMAT, version: SHELF_VERSION, ...region })

/** Adds what the first builds left out: lists that were always empty, and the format and version of stored shelves. */
const COMPLETE: Normaliser = (file) => {
  const missing = (['rules', 'variants', 'cautions'] as const).filter((list) => !(list in file))
  return missing.length ? { ...file, ...Object.fromEntries(missing.map((list) => [list, []])) } : file
}

/** The coach's own shelves as documents; what holds for a chart's records holds for a shelf's. */
export const SHELF_KIND: DocumentKind<OwnShelf> = {
  ...SHELF_FILE,
  root: Shelf,
  lists: {
    ...{ ...CHAIN_LISTS, positions: ShelfPosition, moves: ShelfMove, reactions: ShelfReaction, answers: ShelfAnswer },
    ...{ rules: DecisionRule, variants: Variant, cautions: Caution, flows: FlowDrill },
  },
  most: { ...MAX_CHAIN, rules: 5_000, variants: 1_000, cautions: 1_000, flows: 1_000 },
  keyOf: chainKey,
  migrations: [],
  normalisers: [COMPLETE, ...CHAIN_NORMALISERS],
  checkReferences: (shelf) => [...checkReferences(shelfAsChart(joinRegions([shelf]))), ...checkFlows(shelf)],
  sizeOf: ({ positions }) => positions.length,
}
