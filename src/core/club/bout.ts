import { ArrayMaxSize, IsArray, IsInt, IsNumber, Max, Min } from 'class-validator'
import { IsDay, IsRecordId, IsWord, Optional } from '../document/constraints'

/** Cues for one match: more are not heard. */
export const MOST_CUES = 3
/** The most that a side can have scored. */
const MOST_POINTS = 999

/** A match of an athlete's, on a match day. */
export class Bout {
  @IsRecordId() id!: string
  @IsDay() when!: string
  /** Id of a person. */
  @IsRecordId() athlete!: string
  /** On which mat. */
  @Optional() @IsWord() mat?: string
  /** Id of a set of rules; it may be gone. */
  @Optional() @IsRecordId() rules?: string
  @IsInt() @Min(10) @Max(3600) seconds!: number
  /** In the athlete's own words. */
  @IsArray() @ArrayMaxSize(MOST_CUES) @IsWord({ each: true }) cues!: string[]
  @IsInt() @Min(0) @Max(MOST_POINTS) ours!: number
  @IsInt() @Min(0) @Max(MOST_POINTS) theirs!: number
  /** Milliseconds that its clock had run before it was started last, and when that was; absent while it stands. */
  @IsNumber() @Min(0) ran!: number
  @Optional() @IsNumber() since?: number
  /** Who they met; nobody keeps that of a minor. */
  @Optional() @IsWord() opponent?: string
  /** What beat us, in one line. */
  @Optional() @IsWord() beatUs?: string
}
