import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { IsRecordId, OneRecord, Optional, Records } from '../../document/constraints'
import { IsOutcome } from '../logRecords'
import { WITH_WHOM, type WithWhom } from '../session'
import type { TryOutcome } from '../../match/tryLog'

/* What runs on the mats now. It is part of the club, so that a reload, a sleeping tab or another tab loses nothing. */

/** Milliseconds since 1970, by the wall clock. */
const IsTime = () => (target: object, key: string) => {
  IsNumber()(target, key)
  Min(0)(target, key)
}

/** One try of a round that is still on. */
export class LiveTry {
  @IsRecordId() move!: string
  @Optional() @IsRecordId() reply?: string
  @IsOutcome() outcome!: TryOutcome
}

/** Where a round stands: in a position of the chart, perhaps just after a reaction, perhaps with a move under way. */
export class Standing {
  /** A position; absent: nobody knows any more. */
  @Optional() @IsRecordId() position?: string
  @Optional() @IsRecordId() reply?: string
  /** The move whose outcome is asked for. */
  @Optional() @IsRecordId() move?: string
  /** It has landed as a finish, or is over: how it ended is asked for. */
  @Optional() @IsIn(['finish', 'over']) asks?: 'finish' | 'over'
  /** What happened just before was not seen. */
  @Optional() @IsBoolean() isUnseen?: boolean
}

/** A round on one mat. */
export class LiveRound {
  /** Who attacks, and who is attacked. */
  @IsRecordId() us!: string
  @IsRecordId() them!: string
  @IsTime() since!: number
  /** Where it is, and how it came there: the last is now. Undo takes one away. */
  @Records(() => Standing) course!: Standing[]
  @Records(() => LiveTry) tries!: LiveTry[]
  /** How many tries there were at each step of the course. */
  @IsArray() @IsInt({ each: true }) marks!: number[]
}

/** People who work together: two, or three who take turns. The first attacks the second. */
export class Pairing {
  @IsArray() @IsRecordId({ each: true }) people!: string[]
}

/** A round that is over: ids of what the log keeps of it. */
export class EndedRound {
  @OneRecord(() => LiveRound) round!: LiveRound
  @IsRecordId() fact!: string
  @IsArray() @IsRecordId({ each: true }) tries!: string[]
  /** Who was to come in which order while it was on. */
  @Optional() @Records(() => Pairing) queue?: Pairing[]
}

/** A winner who stays on. */
export class Stayed {
  @IsRecordId() person!: string
  @IsInt() @Min(1) @Max(99) rounds!: number
}

export class Mat {
  @IsInt() @Min(1) @Max(99) n!: number
  /** In the order of their turns. */
  @Records(() => Pairing) queue!: Pairing[]
  @Optional() @OneRecord(() => LiveRound) round?: LiveRound
  /** The round that ended last, with the facts that were made of it, so that it can be taken back. */
  @Optional() @OneRecord(() => EndedRound) last?: EndedRound
  /** When the last round ended by a tap: nothing restarts before they have let go and reset. */
  @Optional() @IsTime() tappedAt?: number
  /** Who has stayed on as the winner, and for how many rounds. */
  @Optional() @OneRecord(() => Stayed) stayed?: Stayed
}

export const BODY_PARTS = ['head', 'neck', 'shoulder', 'elbow', 'hand', 'back', 'ribs', 'knee', 'ankle'] as const
export const DOING = ['locked', 'strangled', 'thrown', 'fell', 'bumped', 'else'] as const

/** Somebody who was hurt today. */
export class Hurt {
  @IsRecordId() person!: string
  @IsIn(BODY_PARTS) part!: (typeof BODY_PARTS)[number]
  @IsIn(DOING) doing!: (typeof DOING)[number]
}

/** A round that was broken off by a stop: what was tried last in it. */
export class BrokenOff {
  @IsArray() @IsRecordId({ each: true }) people!: string[]
  @IsRecordId() move!: string
}

/** The class that is on. */
export class Live {
  @IsRecordId() session!: string
  @IsRecordId() block!: string
  @IsTime() began!: number
  /** When the clock of the block was started last; absent while it stands. */
  @Optional() @IsTime() since?: number
  /** Milliseconds that the block had run before that. */
  @IsNumber() @Min(0) ran!: number
  /** Somebody has pressed Stop: nothing restarts by itself. */
  @Optional() @IsBoolean() isStopped?: boolean
  @Optional() @IsBoolean() isQuestion?: boolean
  @Records(() => Mat) mats!: Mat[]
  /** By what the pairs were made last, and in a rotation how often they have changed. */
  @Optional() @IsIn(WITH_WHOM) pairedFor?: WithWhom
  @Optional() @IsInt() @Min(0) turn?: number
  @Records(() => Hurt) hurt!: Hurt[]
  /** What the last stop has broken off. */
  @Optional() @Records(() => BrokenOff) broken?: BrokenOff[]
  /** Who is out for today, hurt or gone. */
  @IsArray() @IsRecordId({ each: true }) out!: string[]
}
