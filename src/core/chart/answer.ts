import { IsRecordId, IsWord, OneRecord, Optional } from '../document/constraints'
import type { MoveId, PlaceId, ReactionId } from './ids'
import { Race } from './race'
import { Tries } from './tries'

/** The move that we plan for a reaction; with tries of its own where it goes better or worse than tried cold. */
export class Answer {
  @IsRecordId() reaction!: ReactionId
  @IsRecordId() move!: MoveId
  @Optional() @OneRecord(() => Tries) tries?: Tries
  @Optional() @OneRecord(() => Race) race?: Race
  /** A position, `caught` or `over`; absent: where conceding leads. */
  @Optional() @IsWord() stallsIn?: PlaceId
}

/** An answer has no id: among the answers it is known by what it answers with what. */
export const answerKey = ({ reaction, move }: { reaction?: unknown; move?: unknown }): string =>
  `${String(reaction)} > ${String(move)}`
