import { IsInt, Min } from 'class-validator'
import { IsDay, IsRecordId, IsWord, Optional } from '../document/constraints'

/** Homework that was given to somebody, and whether answers have come back. */
export class Homework {
  @IsRecordId() id!: string
  @IsRecordId() us!: string
  @IsRecordId() chart!: string
  /** What it is about. */
  @IsWord() title!: string
  @IsDay() given!: string
  /** How many questions it has. */
  @IsInt() @Min(0) cards!: number
  /** The day on which answers came last. */
  @Optional() @IsDay() back?: string
}
