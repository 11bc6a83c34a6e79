import { IsIn, IsInt, Max, Min } from 'class-validator'
import { IsRecordId, IsWord, Optional } from '../document/constraints'

/** How well an answer was known, the worst first. */
export const KNOWN = ['again', 'hard', 'good', 'easy'] as const
export type Known = (typeof KNOWN)[number]

/**
 * What was asked: from our chair, what we do in a position, when a cue is seen there, or to a reaction (to a move, or
 * unprompted); from theirs, what they do best to a move. Records of a chart by id; they may be gone.
 */
export interface Asked {
  position: string
  move?: string
  reaction?: string
  /** Id of a cue, or `nothing`. */
  cue?: string
  chair?: 'theirs'
}

/** The last millisecond of the year 9999: later ones are no times. */
const LATEST = 253_402_300_799_999

/** An answer that somebody was asked for, and how well it was known. A fact: when it is due again is worked out. */
export class Rehearsed implements Asked {
  @IsRecordId() id!: string
  /** In milliseconds since 1970. */
  @IsInt() @Min(0) @Max(LATEST) at!: number
  /** Id of a person; absent: someone. */
  @Optional() @IsRecordId() us?: string
  @IsRecordId() chart!: string
  @IsRecordId() position!: string
  @Optional() @IsRecordId() move?: string
  @Optional() @IsRecordId() reaction?: string
  @Optional() @IsWord() cue?: string
  @Optional() @IsIn(['theirs']) chair?: 'theirs'
  @IsIn(KNOWN) known!: Known;
  /** It was not asked on a card but missed in sparring with the plan. */
  @Optional() @IsIn(['spar']) in?: 'spar'
}

/** What is asked, as one text: two are the same question if and only if these are equal. */
export const askedKey = ({ position, move, reaction, cue, chair }: Asked): string =>
  [chair, position, move, reaction, cue].join(' ')
