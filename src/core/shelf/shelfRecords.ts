import { IsArray, IsBoolean, IsIn, IsString } from 'class-validator'
import { Answer } from '../chart/answer'
import type { MoveId, PositionId } from '../chart/ids'
import { Move } from '../chart/move'
import { Position } from '../chart/position'
import { Reaction } from '../chart/reaction'
import { IsRecordId, IsWord, Optional, Records } from '../document/constraints'
import { REASON_IDS, type Reason } from './reasons'

/*
 * What the Shelf has beside a chart's records. `check` on an entry: inferred or doubtful, check with your coach;
 * `catalogue`: its id in the catalogue that the Shelf is built from.
 */

export class ShelfPosition extends Position {
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  /** The holds that make it, in words; what it takes from them, and what it leaves. */
  @Optional() @IsArray() @IsString({ each: true }) made?: string[]
  @Optional() @IsString() takes?: string
  @Optional() @IsString() leaves?: string
  /** One begins here: nothing need lead to it. */
  @Optional() @IsBoolean() begins?: boolean
}

export class ShelfMove extends Move {
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  /** Why it lands as often as it does. */
  @Optional() @IsIn(REASON_IDS) reason?: Reason
  /** When to go. */
  @Optional() @IsString() cue?: string
  /** The holds that must be on, in words. */
  @Optional() @IsString() holdsFirst?: string
  @Optional() @IsString() size?: string
  @Optional() @IsString() ruleNote?: string
  /** Other positions that it is done from. */
  @Optional() @IsArray() @IsRecordId({ each: true }) alsoFrom?: PositionId[]
}

export class ShelfReaction extends Reaction {
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  /** What it opens for us, and how often it is met. */
  @Optional() @IsString() opens?: string
  @Optional() @IsString() common?: string
  /** Nobody has an answer yet, and that is known. */
  @Optional() @IsBoolean() open?: boolean
}

export class ShelfAnswer extends Answer {
  /** Why it lands as often as it does. */
  @Optional() @IsIn(REASON_IDS) reason?: Reason
}

/** When, what, and why; where practitioners agree. */
export class DecisionRule {
  @IsRecordId() id!: string
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  /** Positions in which it applies. */
  @IsArray() @IsRecordId({ each: true }) at!: PositionId[]
  /** The cue. */
  @IsString() when!: string
  /** The moves that it prefers, and those that it rejects in their favour. */
  @Optional() @IsArray() @IsRecordId({ each: true }) prefer?: MoveId[]
  @Optional() @IsArray() @IsRecordId({ each: true }) over?: MoveId[]
  @IsString() then!: string
  @IsString() because!: string
}

/** One way of doing something, and when or why it is better; the moves that are done by it. */
export class View {
  @IsRecordId() id!: string
  @IsString() says!: string
  @Optional() @IsString() because?: string
  @Optional() @IsArray() @IsRecordId({ each: true }) moves?: MoveId[]
}

/** Where practitioners do not agree. `on`: the positions and moves that it is about. */
export class Variant {
  @IsRecordId() id!: string
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  @IsArray() @IsRecordId({ each: true }) on!: string[]
  @IsString() question!: string
  @Records(() => View) views!: View[]
}

/** A step of a flow drill: where we are, what they do, and what we do; the next step is where that lands. */
export class FlowStep {
  @IsRecordId() position!: PositionId
  @IsString() calls!: string
  @IsRecordId() move!: MoveId
}

/** A loop of positions that is gone round without finishing: what each thing that they do calls for. */
export class FlowDrill {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @Optional() @IsBoolean() check?: boolean
  @Records(() => FlowStep) steps!: FlowStep[]
  @Optional() @IsString() notes?: string
}

export class Caution {
  @IsRecordId() id!: string
  @Optional() @IsBoolean() check?: boolean
  @Optional() @IsString() catalogue?: string
  @IsString() text!: string
}
