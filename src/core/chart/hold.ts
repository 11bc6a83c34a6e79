import { ArrayNotEmpty, IsArray, IsIn, IsString } from 'class-validator'
import { IsFraction, IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import type { HoldId } from './ids'
import { LIMBS, PEOPLE, type Limb, type Person } from './words'

/** What a hold takes from the other person: `strength` 1 shuts the capability, 0.5 halves it. */
export class Denial {
  @IsWord() capability!: string
  @IsFraction() strength!: number
}

/** Parts of one person's limbs doing a job: controlling a part of the other, or merely placed. */
export class Hold {
  @IsRecordId() id!: HoldId
  @IsWord() name!: string
  @Optional() @IsIn(PEOPLE) by?: Person
  @IsArray() @ArrayNotEmpty() @IsIn(LIMBS, { each: true }) limbs!: Limb[]
  @Optional() @IsWord() on?: string
  @Optional() @Records(() => Denial) denies?: Denial[]
  @Optional() @IsString() notes?: string
}

/** Whose limbs do the holding; ours where the chart does not say. */
export const holder = (hold: Hold): Person => hold.by ?? 'ours'

/** Whether two holds are of one person and take a limb in common. */
export const sharesLimb = (one: Hold, other: Hold): boolean =>
  holder(one) === holder(other) && one.limbs.some((limb) => other.limbs.includes(limb))
