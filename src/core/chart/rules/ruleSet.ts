import { IsArray, IsBoolean, IsIn, IsInt, IsString, Max, Min } from 'class-validator'
import { IsFraction, IsRecordId, IsWord, OneRecord, Optional, Records } from '../../document/constraints'
import { IsMeanSeconds, IsPointMap, IsPoints, IsSeconds } from '../constraints'
import { AHEAD, type Ahead } from '../words'

/** What a move may be that some rules forbid, by tag. */
export const RULE_TAGS = {
  'neck-crank': 'neck cranks',
  'spine-lock': 'spine locks',
  'twisting-leg-lock': 'twisting leg locks',
  'groin-split': 'groin splits',
  'mouth-covering': 'covering the mouth',
  'wrist-lock': 'wrist locks',
  slam: 'slams',
  'scissor-takedown': 'scissor takedowns',
  'jump-entry': 'jumping entries',
  'drop-throw': 'throws that drop onto the legs',
  'lapel-grip': 'grips on cloth',
  leglock: 'leg locks',
  strikes: 'strikes',
  choke: 'chokes',
  armlock: 'armlocks',
} as const
export type RuleTag = keyof typeof RULE_TAGS

/** What scores, in the order in which it is usually come to. */
export const SCORING_ACTIONS = {
  takedown: 'takedown',
  sweep: 'sweep',
  pass: 'guard pass',
  kneeRide: 'knee on belly',
  mount: 'mount',
  back: 'back',
  exposure: 'back exposed',
} as const
export type ScoringAction = keyof typeof SCORING_ACTIONS

/** The longest that anything must be held before it counts, in seconds. */
export const MAX_HELD = 60

export class MatchFormat {
  @IsInt() @Min(1) @Max(99) count!: number
  @IsSeconds() seconds!: number
}

/** Control that scores by time: so many points for every so many seconds of being on top or behind, on the ground. */
export class ControlTime {
  @IsSeconds() every!: number
  @IsPoints() points!: number
}

/** What a pin adds in points once it has lasted for so many seconds without a break. */
export class HoldDown {
  @IsInt() @Min(1) @Max(MAX_HELD) seconds!: number
  @IsPoints() points!: number
}

/** What strikes change of a reaction that needs a capability: what to say, and how much of it is left. */
export class StrikeChange {
  /** A capability, or the word that several end in: `hand` means either hand. */
  @IsWord() uses!: string
  @IsString() says!: string
  @IsFraction() left!: number
}

/** What being hit costs: in positions of a family, or of all, the mean seconds until strikes end it against us. */
export class Struck {
  @Optional() @IsWord() family?: string
  @IsIn(AHEAD) ahead!: Ahead
  @IsMeanSeconds() every!: number
}

/** What an event allows and what it scores. Data: a chart may bring its own. */
export class RuleSet {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @IsArray() @IsWord({ each: true }) forbids!: string[]
  @Optional() @IsBoolean() gi?: boolean
  @Optional() @IsString() level?: string
  @Optional() @OneRecord(() => MatchFormat) rounds?: MatchFormat
  @Optional() @IsPointMap() points?: Partial<Record<ScoringAction, number>>
  @Optional() @OneRecord(() => ControlTime) controlTime?: ControlTime
  /** Seconds for which what scores must be held before it counts. Absent: it counts at once. */
  @Optional() @IsInt() @Min(1) @Max(MAX_HELD) heldFor?: number
  @Optional() @Records(() => HoldDown) holdDown?: HoldDown[]
  /** Mean seconds until the referee stands the two up again, on the ground where nobody pins. */
  @Optional() @IsMeanSeconds() stoodUp?: number
  /** No finish is tried at all: control is the goal. */
  @Optional() @IsBoolean() noFinish?: boolean
  @Optional() @Records(() => StrikeChange) strikes?: StrikeChange[]
  /** The first that fits a position holds there. */
  @Optional() @Records(() => Struck) struck?: Struck[]
  @Optional() @IsString() notes?: string
}
