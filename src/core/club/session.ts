import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsMilitaryTime,
  IsObject,
  IsString,
  Max,
  Min,
} from 'class-validator'
import { constraint, IsDay, isMapOf, IsRecordId, IsWord, OneRecord, Optional, Records } from '../document/constraints'
import { RESISTANCES, type Resistance } from '../match/tryLog'

export const BLOCK_KINDS = [
  'warm-up',
  'watch',
  'try',
  'stop-and-mend',
  'rounds-from',
  'flow-drill',
  'free-rounds',
  'cool-down',
] as const
export type BlockKind = (typeof BLOCK_KINDS)[number]

const SUBJECTS = ['move', 'position', 'run', 'card', 'flow', 'region'] as const
export const WITH_WHOM = ['learn', 'rounds', 'rotation', 'winner-stays'] as const

/** What a block is about: a record of a chart, or of the Shelf where no chart is named. It may be gone. */
export class Subject {
  @Optional() @IsRecordId() chart?: string
  @IsIn(SUBJECTS) kind!: (typeof SUBJECTS)[number]
  @IsRecordId() id!: string
}

/** How hard a strike is: stopped short, touched, or felt. */
export const CONTACTS = ['none', 'touch', 'light'] as const

/** Points in a block that is watched: more are not kept in mind. */
export const MOST_POINTS = 3

export type WithWhom = (typeof WITH_WHOM)[number]

/** A stretch of a class. Times are in seconds, those of the whole block in minutes. */
export class Block {
  @IsRecordId() id!: string
  @IsIn(BLOCK_KINDS) kind!: BlockKind
  @IsInt() @Min(1) @Max(180) minutes!: number
  @Optional() @IsWord() title?: string
  @Optional() @IsInt() @Min(1) @Max(3600) work?: number
  @Optional() @IsInt() @Min(0) @Max(3600) rest?: number
  @Optional() @IsInt() @Min(1) @Max(99) rounds?: number
  /** On the feet, where fewer pairs fit. */
  @Optional() @IsBoolean() isStanding?: boolean
  @Optional() @IsIn(WITH_WHOM) withWhom?: WithWhom
  @Optional() @IsIn(RESISTANCES) resistance?: Resistance
  @Optional() @OneRecord(() => Subject) about?: Subject
  @Optional() @IsArray() @ArrayMaxSize(MOST_POINTS) @IsWord({ each: true }) points?: string[]
  @Optional() @IsWord() mistake?: string
  /** Two ways that the pairs try in turn: id of a trial. */
  @Optional() @IsRecordId() trial?: string
  /** On whom it is shown: id of a person. */
  @Optional() @IsRecordId() shownOn?: string
  /** Where there are strikes: what is worn, and how hard they are. */
  @Optional() @IsWord() gear?: string
  @Optional() @IsIn(CONTACTS) contact?: (typeof CONTACTS)[number]
}

/** People who are there without a name: they count as beginners. */
export class Guests {
  @IsInt() @Min(0) @Max(200) adults!: number
  @IsInt() @Min(0) @Max(200) children!: number
}

/** How many pairs fit on the mats at once. */
export class Room {
  @IsInt() @Min(1) @Max(200) standing!: number
  @IsInt() @Min(1) @Max(200) ground!: number
}

/** What a coach opens that is refused for somebody there, with the reason. */
export class Opened {
  @IsWord() tag!: string
  @IsWord() reason!: string
}

const AreSeen = constraint('areSeen', 'must be an object of whole numbers from 0 to 999', (map) =>
  isMapOf(map, (n) => Number.isInteger(n) && Number(n) >= 0 && Number(n) <= 999),
)

/** A walk round the class: in how many pairs each mistake was seen, and in how many none. Each pair counts once. */
export class Walk {
  @IsRecordId() block!: string
  @IsObject() @AreSeen() mistakes!: Record<string, number>
  @IsInt() @Min(0) @Max(999) fine!: number
}

export const MOST_MATS = 20
/** On so many mats rounds run until the coach says otherwise. */
export const USUAL_MATS = 2

/** A class: who comes, what is done, and for how long. */
export class Session {
  @IsRecordId() id!: string
  @IsDay() when!: string
  /** When it begins, as 19:30. */
  @Optional() @IsMilitaryTime() at?: string
  @Optional() @IsWord() theme?: string
  @IsInt() @Min(1) @Max(600) minutes!: number
  /** Ids of people. */
  @IsArray() @IsRecordId({ each: true }) people!: string[]
  @Optional() @OneRecord(() => Guests) guests?: Guests
  /** Ids of those who wear the gi today; absent: nobody has said. */
  @Optional() @IsArray() @IsRecordId({ each: true }) gi?: string[]
  @Optional() @OneRecord(() => Room) room?: Room
  /** On how many mats rounds run. */
  @Optional() @IsInt() @Min(1) @Max(MOST_MATS) mats?: number
  /** A lesson for who comes, with the coach as the partner. */
  @Optional() @IsBoolean() isPrivate?: boolean
  @Records(() => Block) blocks!: Block[]
  @Optional() @Records(() => Opened) opened?: Opened[]
  /** Blocks that were left out, for the next class. */
  @Optional() @Records(() => Block) nextTime?: Block[]
  @Optional() @Records(() => Walk) walks?: Walk[]
  @Optional() @IsString() notes?: string
}
