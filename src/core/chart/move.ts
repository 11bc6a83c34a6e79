import { IsArray, IsBoolean, IsIn, IsObject, IsString } from 'class-validator'
import { IsFraction, IsRecordId, IsWord, OneRecord, Optional, Records } from '../document/constraints'
import { IsFitList, IsSeconds } from './constraints'
import { Fit } from './fit'
import { Hazard } from './hazard'
import type { CueId, HoldId, MoveId, PlaceId, PositionId } from './ids'
import { Probe } from './probe'
import { Race } from './race'
import { Tries } from './tries'
import { GUESSED, KINDS, type Guessed, type Kind } from './words'

export const DEFAULT_MOVE_SECONDS = 5

/** The usual mistake at a checkpoint: what goes wrong, what it looks like, the fix. */
export class Fault {
  @IsString() mistake!: string
  @IsString() result!: string
  @IsString() fix!: string
}

/** A release gate: `hold` may not be let go before `next` is on. */
export class Gate {
  @IsRecordId() hold!: HoldId
  @IsRecordId() next!: HoldId
}

/** A condition of a move that must be true, in order; `until` is what must be on before it may be let go, in words. */
export class Checkpoint {
  @IsRecordId() id!: string
  @IsString() text!: string
  @Optional() @IsString() test?: string
  @Optional() @IsString() until?: string
  /** The same in the chart's holds, so that a run can be checked for it. */
  @Optional() @OneRecord(() => Gate) gate?: Gate
  @Optional() @OneRecord(() => Fault) fault?: Fault
}

/** Something that we try from a position; it lands in a position or in a finish. */
export class Move {
  @IsRecordId() id!: MoveId
  @IsWord() name!: string
  @Optional() @IsArray() @IsWord({ each: true }) aliases?: string[]
  @IsIn(KINDS) kind!: Kind
  @IsRecordId() from!: PositionId
  /** A position, or `finish`. */
  @IsWord() to!: PositionId | 'finish'
  @Optional() @IsBoolean() across?: boolean
  @Optional() @IsSeconds() seconds?: number
  /** May only be absent with a race, or where the move is only in reply: each answer by it then has its own. */
  @Optional() @OneRecord(() => Tries) tries?: Tries
  @Optional() @OneRecord(() => Race) race?: Race
  /** Tried only as an answer, never from its position unprovoked. */
  @Optional() @IsBoolean() reply?: boolean
  /** Tried from its position only while one of these cues is seen; absent or empty: whatever is seen. */
  @Optional() @IsArray() @IsRecordId({ each: true }) when?: CueId[]
  /** A position, `caught` or `over`; absent: in `from`. */
  @Optional() @IsWord() stallsIn?: PlaceId
  /** The share of its tries that come to nothing in place which lose the position; absent: the scenario's. */
  @Optional() @IsFraction() slips?: number
  /** How it goes when it is only shown, where that is not as the chart says. */
  @Optional() @OneRecord(() => Probe) probe?: Probe
  @Optional() @IsArray() @IsWord({ each: true }) uses?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) usesAny?: string[]
  @Optional() @IsArray() @IsRecordId({ each: true }) needs?: HoldId[]
  @Optional() @IsArray() @IsRecordId({ each: true }) adds?: HoldId[]
  @Optional() @IsArray() @IsRecordId({ each: true }) drops?: HoldId[]
  @Optional() @IsArray() @IsRecordId({ each: true }) keeps?: HoldId[]
  @Optional() @IsArray() @IsRecordId({ each: true }) strips?: HoldId[]
  @Optional() @IsObject() turns?: Record<string, unknown>
  @Optional() @Records(() => Checkpoint) checkpoints?: Checkpoint[]
  @Optional() @IsArray() @IsWord({ each: true }) tags?: string[]
  @Optional() @OneRecord(() => Hazard) hazard?: Hazard
  @Optional() @IsFitList() @Records(() => Fit) fit?: Fit[]
  /** The fields that nobody has set: what stands there is the product's guess. */
  @Optional() @IsArray() @IsIn(GUESSED, { each: true }) guessed?: Guessed[]
  @Optional() @IsString() notes?: string
}
