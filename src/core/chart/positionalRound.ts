import { Equals } from 'class-validator'
import { IsRecordId, Optional } from '../document/constraints'
import { IsSeconds } from './constraints'
import type { MoveId, PositionId, ReactionId } from './ids'

/**
 * A positional round: from a position, against one thing that they do. `move`: what they do it to; absent, unprompted.
 */
export class PositionalRound {
  @IsRecordId() id!: string
  @IsRecordId() position!: PositionId
  @IsRecordId() reaction!: ReactionId
  @Optional() @IsRecordId() move?: MoveId
  @IsSeconds() seconds!: number
  /** Control is the goal: no finish is applied. */
  @Optional() @Equals(true) positionOnly?: true
}
