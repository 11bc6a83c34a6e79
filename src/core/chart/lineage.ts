import { IsArray, IsObject } from 'class-validator'
import { IsWord, Optional } from '../document/constraints'

/** What a chart knows of how it was exchanged. */
export class Shared {
  /** Marks of the states that were exchanged and are in this one, the oldest first. */
  @IsArray() @IsWord({ each: true }) lineage!: string[]
  /** In a file only: the newest state that its maker knows to be elsewhere too. */
  @Optional() @IsObject() ancestor?: object
}
