import { IsArray, IsString } from 'class-validator'
import { IsWord, Optional } from '../document/constraints'
import { IsCueId } from './constraints'
import type { CueId } from './ids'

/** In place of a cue: nothing in particular is seen. */
export const NOTHING_SEEN = 'nothing'
/** Times that we come to a position: what is seen is told of so many. */
export const TEN = 10
/** Cues that may be seen in one position, as many as anyone could tell apart on the mat. */
export const MAX_SEEN = 12

/** Something of theirs that one sees on coming to a position, and chooses by: where an arm, the head or a hip lies. */
export class Cue {
  @IsCueId() id!: CueId
  @IsWord() name!: string
  /** What they need for it; our holds that deny it make it rarer. */
  @Optional() @IsArray() @IsWord({ each: true }) uses?: string[]
  @Optional() @IsArray() @IsWord({ each: true }) usesAny?: string[]
  @Optional() @IsString() notes?: string
}
