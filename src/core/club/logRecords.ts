import { IsBoolean, IsIn, IsInt, IsString, Max, Min } from 'class-validator'
import type { MoveId, ReactionId } from '../chart/ids'
import { constraint, IsDay, IsRecordId, Optional } from '../document/constraints'
import { isRecord } from '../document/fields'
import { RESISTANCES, TRIED_IN, type LoggedTry, type Resistance, type TriedIn, type TryOutcome } from '../match/tryLog'

/** How a round ended. Time is neither escape nor failure. */
export const ENDED = ['tap', 'had-it', 'out', 'reversed', 'time', 'no-result'] as const
export type Ended = (typeof ENDED)[number]

/** A round that was worked: a fact of its own, beside the tries that were seen in it. */
export class RoundFact {
  @IsRecordId() id!: string
  @IsDay() when!: string
  @Optional() @IsRecordId() session?: string
  @Optional() @IsRecordId() chart?: string
  /** Where it began. */
  @Optional() @IsRecordId() position?: string
  /** Ids of people: who attacks, and who is attacked. Absent: someone. */
  @Optional() @IsRecordId() us?: string
  @Optional() @IsRecordId() them?: string
  @IsInt() @Min(0) @Max(3600) seconds!: number
  @IsIn(ENDED) ended!: Ended
}

const PLAIN = ['lands', 'stalls', 'failed']
export const IsOutcome = constraint(
  'isOutcome',
  'must be lands, stalls, failed, or an object with a reaction or with elsewhere',
  (value) => {
    if (typeof value === 'string') return PLAIN.includes(value)
    if (!isRecord(value)) return false
    const [[key, id] = [], ...others] = Object.entries(value)
    return !others.length && (key === 'reaction' || key === 'elsewhere') && typeof id === 'string'
  },
)

/** A try as it is kept. */
export class TryFact implements LoggedTry {
  @IsRecordId() id!: string
  @IsDay() when!: string;
  @IsIn(TRIED_IN) in!: TriedIn
  @Optional() @IsIn(RESISTANCES) resistance?: Resistance
  @Optional() @IsRecordId() us?: string
  @Optional() @IsRecordId() them?: string
  @Optional() @IsRecordId() session?: string
  @Optional() @IsRecordId() chart?: string
  @IsRecordId() move!: MoveId
  @Optional() @IsRecordId() reply?: ReactionId
  @IsOutcome() outcome!: TryOutcome
  @Optional() @IsBoolean() isPartial?: boolean
  @Optional() @IsBoolean() gi?: boolean
  /** It was tallied on the chart, where it still stands: on this day, or `undated`. */
  @Optional() @IsString() tallied?: string
}
