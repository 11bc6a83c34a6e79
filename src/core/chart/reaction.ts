import { IsArray, IsString } from 'class-validator'
import { IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import { IsFitList, IsSeconds } from './constraints'
import { Fit } from './fit'
import type { HoldId, MoveId, PlaceId, ReactionId } from './ids'

export const DEFAULT_REACTION_SECONDS = 2

/** What they do: an escape attempt, a defence, a counter. Several moves may meet the same one. */
export class Reaction {
  @IsRecordId() id!: ReactionId
  @IsWord() name!: string
  @Optional() @IsArray() @IsWord({ each: true }) aliases?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) uses?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) usesAny?: string[]
  /** Ids of checkpoints that it breaks. */
  @Optional() @IsArray() @IsRecordId({ each: true }) breaks?: string[]
  /** Our holds that it takes off. */
  @Optional() @IsArray() @IsRecordId({ each: true }) strips?: HoldId[]
  /** Their holds that it puts on. */
  @Optional() @IsArray() @IsRecordId({ each: true }) adds?: HoldId[]
  /** A position, `caught` or `over`. */
  @IsWord() endsIn!: PlaceId
  @Optional() @IsSeconds() seconds?: number
  @Optional() @IsRecordId() mirror?: MoveId
  @Optional() @IsFitList() @Records(() => Fit) fit?: Fit[]
  @Optional() @IsString() notes?: string
}
