import { IsIn, IsNumber, Max, Min } from 'class-validator'
import type { MoveId, ReactionId } from '../chart/ids'
import type { Session } from './session'
import { IsDay, IsRecordId, IsWord, OneRecord, Optional } from '../document/constraints'

export const WAYS = ['first', 'second'] as const
export type Way = (typeof WAYS)[number]

/** One way of doing a step: a move, perhaps as an answer. Both are of a chart, and may be gone. */
export class TrialWay {
  @IsRecordId() move!: MoveId
  @Optional() @IsRecordId() reply?: ReactionId
}

/** What was found on the day that was set, once. */
export class Verdict {
  @IsDay() when!: string
  /** The chance, 0 to 1, that the first lands more often. */
  @IsNumber() @Min(0) @Max(1) chance!: number
  /** Absent: the tries did not settle it. */
  @Optional() @IsIn(WAYS) better?: Way
}

/** Two ways of one step, tried by the pairs of a club in turn, and judged once on a day that was set before. */
export class Trial {
  @IsRecordId() id!: string
  @IsWord() title!: string
  @IsRecordId() chart!: string
  @OneRecord(() => TrialWay) first!: TrialWay
  @OneRecord(() => TrialWay) second!: TrialWay
  @IsDay() since!: string
  @IsDay() judgeOn!: string
  @Optional() @OneRecord(() => Verdict) verdict?: Verdict
}

/**
 * Which way who attacks tries, by their place on the list of a class: half have one and half the other, and who had one
 * in a class has the other in the next. `turn`: how many classes have split by this trial before.
 */
export const wayOf = (place: number, turn: number): Way => ((place + turn) % 2 === 0 ? 'first' : 'second')

/** The classes before one that have split by a trial. */
export const turnOf = (sessions: readonly Pick<Session, 'id' | 'when' | 'blocks'>[], here: Session, trial: string) =>
  sessions.filter(
    ({ id, when, blocks }) => id !== here.id && when <= here.when && blocks.some((block) => block.trial === trial),
  ).length
