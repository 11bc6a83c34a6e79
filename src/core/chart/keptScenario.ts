import { IsObject } from 'class-validator'
import { IsFraction, IsRecordId, IsWord, Optional } from '../document/constraints'
import { IsMeanSecondsOrNever } from './constraints'

/** A scenario under a name, to come back to: the final, forty seconds left. What it does not say is as usual. */
export class KeptScenario {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @Optional() @IsMeanSecondsOrNever() breakUp?: number | null
  @Optional() @IsFraction() repeat?: number
  @Optional() @IsFraction() slips?: number
  @IsObject() scenario!: Record<string, unknown>
}
