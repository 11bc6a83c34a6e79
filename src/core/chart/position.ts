import { IsArray, IsIn, IsObject, IsString } from 'class-validator'
import { IsRecordId, IsWord, OneRecord, Optional } from '../document/constraints'
import { IsMeanSeconds, IsPositionId, IsReactionMap, IsTryMap, IsWorth } from './constraints'
import type { HoldId, PlaceId, PositionId } from './ids'
import { AHEAD, GUESSED, type Ahead, type Guessed } from './words'

/** What they do while we hold still: one of `reactions` about once every `every` seconds. */
export class Unprompted {
  @IsMeanSeconds() every!: number
  /** Reaction id to count. */
  @IsReactionMap() reactions!: Record<string, number>
}

/** Mean seconds until they finish us here, and the capabilities that they need for it. */
export class Threat {
  @IsMeanSeconds() every!: number
  @Optional() @IsArray() @IsWord({ each: true }) uses?: string[]
}

/** Mean seconds until a good partner is gone from here, and the capabilities that they need for it. */
export class Out {
  @IsMeanSeconds() every!: number
  @Optional() @IsArray() @IsWord({ each: true }) uses?: string[]
}

/** Who controls whom, stable enough to pause in. */
export class Position {
  @IsPositionId() id!: PositionId
  @IsWord() name!: string
  @Optional() @IsArray() @IsWord({ each: true }) aliases?: string[]
  @IsWord() family!: string
  @IsIn(AHEAD) ahead!: Ahead
  @Optional() @IsWord() frame?: string
  @Optional() @IsObject() orientation?: Record<string, unknown>
  @Optional() @IsArray() @IsRecordId({ each: true }) holds?: HoldId[]
  @Optional() @OneRecord(() => Unprompted) unprompted?: Unprompted
  @Optional() @OneRecord(() => Threat) threat?: Threat
  @Optional() @OneRecord(() => Out) out?: Out
  @Optional() @IsMeanSeconds() breakUp?: number
  @Optional() @IsWorth() endWorth?: number
  /** Of ten times that we come here, what we see: cue id, or `nothing`, to count. */
  @Optional() @IsTryMap() seen?: Record<string, number>
  /** Where a try that slips leads; absent: it is over, or nothing slips where the position is theirs. */
  @Optional() @IsWord() slipsTo?: PlaceId
  /** The fields that nobody has set: what stands there is the product's guess. */
  @Optional() @IsArray() @IsIn(GUESSED, { each: true }) guessed?: Guessed[]
  @Optional() @IsRecordId() mirror?: PositionId
  @Optional() @IsString() notes?: string
}
