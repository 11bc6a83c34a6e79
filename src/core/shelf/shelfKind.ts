import { Equals, IsString } from 'class-validator'
import { Answer } from '../chart/answer'
import { CHAIN_LISTS, CHAIN_NORMALISERS, chainKey } from '../chart/chainRecords'
import { Hold } from '../chart/hold'
import { Move } from '../chart/move'
import { Position } from '../chart/position'
import { Reaction } from '../chart/reaction'
import { checkReferences } from '../chart/references'
import { IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import type { DocumentKind, Normaliser } from '../document/kind'
import { joinRegions, shelfAsChart, type ShelfRegion } from './shelf'
import { SHELF_FILE } from './shelfFile'

const { format: SHELF_FORMAT, version: SHELF_VERSION } = SHELF_FILE

/** A rule, a difference or a caution: what the Shelf says beside the records. */
class Saying {
  @IsRecordId() id!: string
}

/** A shelf of the coach's own, as it is stored and written to a file. */
class Shelf {
  @Equals(SHELF_FORMAT) format!: typeof SHELF_FORMAT
  @Equals(SHELF_VERSION) version!: typeof SHELF_VERSION
  @IsRecordId() id!: string
  @IsWord() title!: string
  @Records(() => Position) positions!: Position[]
  @Records(() => Hold) holds!: Hold[]
  @Records(() => Move) moves!: Move[]
  @Records(() => Reaction) reactions!: Reaction[]
  @Records(() => Answer) answers!: Answer[]
  @Records(() => Saying) rules!: Saying[]
  @Records(() => Saying) variants!: Saying[]
  @Records(() => Saying) cautions!: Saying[]
  @Optional() @IsString() notes?: string
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
  lists: { ...CHAIN_LISTS, rules: Saying, variants: Saying, cautions: Saying },
  keyOf: chainKey,
  migrations: [],
  normalisers: [COMPLETE, ...CHAIN_NORMALISERS],
  checkReferences: (shelf) => checkReferences(shelfAsChart(joinRegions([shelf]))),
  sizeOf: ({ positions }) => positions.length,
}
