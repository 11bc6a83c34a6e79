import { Equals, IsString } from 'class-validator'
import { IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import type { MoveId, PlaceId, PositionId, ReactionId } from './ids'

/**
 * One thing that happens in a run. `move`: what we try, or, where a reaction has just been met, answer with; absent we
 * hold still, or concede. What comes of it: `reaction` is met, or it `stalls`, or it ends `elsewhere`, else it lands.
 */
export class RunStep {
  @Optional() @IsRecordId() move?: MoveId
  @Optional() @IsRecordId() reaction?: ReactionId
  /** A position, `caught` or `over`. */
  @Optional() @IsWord() elsewhere?: PlaceId
  @Optional() @Equals(true) stalls?: true
}

/** A remark of the limb check that the coach has looked at and wants as it is. */
export class Intended {
  @IsString() remark!: string
  @IsString() reason!: string
}

/** A chosen sequence of moves, reactions and answers from a position on. */
export class Run {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @IsRecordId() start!: PositionId
  @Records(() => RunStep) steps!: RunStep[]
  @Optional() @Records(() => Intended) intended?: Intended[]
  @Optional() @IsString() notes?: string
}

/** Where a run begins and what happens in it. */
export type RunPath = Pick<Run, 'start' | 'steps'>
