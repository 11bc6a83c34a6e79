import { Equals, IsArray, IsIn, IsObject, IsString } from 'class-validator'
import { Answer } from './answer'
import { PositionalRound } from './positionalRound'
import { IsFraction, IsRecordId, IsWord, IsWordMap, OneRecord, Optional, Records } from '../document/constraints'
import { IsDrillStep, IsDrillSteps, IsMeanSecondsOrNever, IsPlaceMap, IsWorth } from './constraints'
import { Cue } from './cue'
import { Hold } from './hold'
import { Shared } from './lineage'
import type { MoveId } from './ids'
import { KeptScenario } from './keptScenario'
import { Move } from './move'
import { Position } from './position'
import { Probe } from './probe'
import { Reaction } from './reaction'
import { RuleSet } from './rules/ruleSet'
import { GROUPS, type Group } from './rules/ruleSets'
import { Run } from './run'
import type { ByAhead, Kind } from './words'

export const CHART_FORMAT = 'ataque-chart'
export const CHART_VERSION = 1

export const DEFAULT_BREAK_UP = 60
export const DEFAULT_REPEAT = 0.5
export const DEFAULT_SLIPS = 0
/** A step of the log-odds of landing: 4 of 10 becomes 5. */
export const DEFAULT_DRILL_STEP = 0.4
export const DEFAULT_ENDS: ByAhead<number> = { ours: 0.2, even: 0, theirs: -0.2 }

/** What an exchange is worth that ends without a finish, by who is ahead. */
export class Ends {
  @Optional() @IsWorth() ours?: number
  @Optional() @IsWorth() even?: number
  @Optional() @IsWorth() theirs?: number
}

/** How the chart is drawn on the Slope. */
export class SlopeSettings {
  /** Keys of the bands from the crest down, where the coach wants another order than the usual one. */
  @Optional() @IsArray() @IsWord({ each: true }) bands?: string[]
  /** Where the coach has put positions by hand, by id: the row within the band, and how far to the right. */
  @Optional() @IsPlaceMap() places?: Record<string, { row: number; x: number }>
}

/**
 * Where schools differ: the way that the coach has chosen, in words, and the moves of the other ways, which are not
 * tried.
 */
export class Way {
  @IsRecordId() variant!: string
  @IsRecordId() view!: string
  @IsString() says!: string
  @IsArray() @IsRecordId({ each: true }) aside!: MoveId[]
}

export class Settings {
  @Optional() @IsMeanSecondsOrNever() breakUp?: number | null
  @Optional() @IsFraction() repeat?: number
  /** The share of tries that come to nothing in place which lose the position; absent: none. */
  @Optional() @IsFraction() slips?: number
  /** How far a drill raises the log-odds of landing; and the same for a kind of move. */
  @Optional() @IsDrillStep() drillStep?: number
  @Optional() @IsDrillSteps() drillSteps?: Partial<Record<Kind, number>>
  @Optional() @OneRecord(() => Ends) ends?: Ends
  /** How moves go that are only shown. */
  @Optional() @OneRecord(() => Probe) probe?: Probe
  @Optional() @OneRecord(() => SlopeSettings) slope?: SlopeSettings
  /** How this school says the side words of the frames, by the frames' word. */
  @Optional() @IsWordMap() words?: Record<string, string>
  /** Who trains with it, where they need protection; and the coach's reason to show them everything all the same. */
  @Optional() @IsIn(Object.keys(GROUPS)) group?: Group
  @Optional() @IsString() shownBecause?: string
  /** Rule sets of the coach's own. */
  @Optional() @Records(() => RuleSet) ruleSets?: RuleSet[]
  @Optional() @Records(() => Way) ways?: Way[]
  /** Moves that came from the Shelf, by id, each with a mark of what the Shelf said of it then. */
  @Optional() @IsWordMap() fromShelf?: Record<string, string>
  /** The scenario that the coach last looked at; see the game's `Scenario`. */
  @Optional() @IsObject() scenario?: Record<string, unknown>
  @Optional() @Records(() => KeptScenario) keptScenarios?: KeptScenario[]
}

/** One coach's plan, seen from our side: what is authored, and perhaps unfinished. */
export class Chart {
  @Equals(CHART_FORMAT) format!: typeof CHART_FORMAT
  @Equals(CHART_VERSION) version!: typeof CHART_VERSION
  @IsRecordId() id!: string
  @IsWord() title!: string
  @Optional() @IsString() notes?: string
  @Optional() @OneRecord(() => Settings) settings?: Settings
  @Records(() => Position) positions!: Position[]
  @Optional() @Records(() => Hold) holds?: Hold[]
  @Optional() @Records(() => Cue) cues?: Cue[]
  @Records(() => Move) moves!: Move[]
  @Records(() => Reaction) reactions!: Reaction[]
  @Records(() => Answer) answers!: Answer[]
  @Optional() @Records(() => Run) runs?: Run[]
  @Optional() @Records(() => PositionalRound) cards?: PositionalRound[]
  /** How it was exchanged with others. */
  @Optional() @OneRecord(() => Shared) shared?: Shared
}

/** A chart with nothing in it. */
export function emptyChart(id: string, title: string): Chart {
  return {
    format: CHART_FORMAT,
    version: CHART_VERSION,
    id,
    title,
    positions: [],
    holds: [],
    moves: [],
    reactions: [],
    answers: [],
  }
}
