import { IsArray, IsBoolean, IsIn, IsNumber, IsObject, IsString, Max, Min } from 'class-validator'
import { constraint, IsDay, IsRecordId, isMapOf, isNumber, IsWord, Optional, Records } from '../document/constraints'
import { daysBetween } from './days'

export const AGE_BANDS = ['under-10', '10-13', '14-17', 'adult'] as const
export type AgeBand = (typeof AGE_BANDS)[number]

export const EXPERIENCE = ['first-months', 'some', 'competes'] as const
export type Experience = (typeof EXPERIENCE)[number]

const SIDES = ['left', 'right'] as const

/** What must be spared: no lock of it, and nothing that may hurt it. */
export class Spared {
  @IsWord() part!: string
  @Optional() @IsIn(SIDES) side?: (typeof SIDES)[number]
  /** Until it is cleared by hand. */
  @Optional() @IsDay() since?: string
  @Optional() @IsString() says?: string
  /** The move in which it was hurt: that stays off for them too. */
  @Optional() @IsRecordId() move?: string
}

/** What can be measured of somebody, in cm: lengths, and the girths of waist and neck. */
export const MEASURES = ['height', 'arms', 'legs', 'neck', 'waist', 'collar'] as const
export type Measure = (typeof MEASURES)[number]
const [SHORTEST, LONGEST] = [3, 300]
const AreMeasures = constraint(
  'areMeasures',
  `must be an object of lengths in cm, each from ${SHORTEST} to ${LONGEST}`,
  (map) => isMapOf(map, (cm) => isNumber(cm) && cm >= SHORTEST && cm <= LONGEST),
  { code: 'out-of-range' },
)

/** Steps of a trait from the usual in the group. */
const MOST_TRAIT = 2
const AreTraits = constraint(
  'areTraits',
  `must be an object of steps, each from -${MOST_TRAIT} to ${MOST_TRAIT}`,
  (map) => isMapOf(map, (step) => isNumber(step) && Math.abs(step) <= MOST_TRAIT),
  { code: 'out-of-range' },
)

/**
 * Somebody who trains here: a name or initials. All else is optional; who has no age band counts as an adult, and who
 * has no experience as in their first months.
 */
export class ClubPerson {
  @IsRecordId() id!: string
  @IsWord() name!: string
  @Optional() @IsIn(AGE_BANDS) ageBand?: AgeBand
  @Optional() @IsIn(EXPERIENCE) experience?: Experience
  /** In kg: for pairs, and for nobody but the coach. */
  @Optional() @IsNumber() @Min(5) @Max(300) weight?: number
  @Optional() @IsIn(SIDES) side?: (typeof SIDES)[number]
  @Optional() @IsObject() @AreTraits() traits?: Record<string, number>
  @Optional() @IsObject() @AreMeasures() measures?: Partial<Record<Measure, number>>
  /** Ids of moves that they like. */
  @Optional() @IsArray() @IsRecordId({ each: true }) likes?: string[]
  /** Not of the club: somebody whom ours meet in matches. */
  @Optional() @IsBoolean() isRival?: boolean
  /** What they do more or less than others: steps, by id of a reaction. */
  @Optional() @IsObject() @AreTraits() habits?: Record<string, number>
  @Optional() @Records(() => Spared) spares?: Spared[]
  /** Ids of people with whom they are not paired. Private. */
  @Optional() @IsArray() @IsRecordId({ each: true }) notWith?: string[]
  /** A guardian has said that records of a minor may be kept. */
  @Optional() @IsBoolean() guardianAgrees?: boolean
  @Optional() @IsDay() lastHere?: string
  @Optional() @IsString() notes?: string
}

export const isMinor = ({ ageBand }: Pick<ClubPerson, 'ageBand'>): boolean => (ageBand ?? 'adult') !== 'adult'
export const isUnder14 = ({ ageBand }: Pick<ClubPerson, 'ageBand'>): boolean =>
  ageBand === 'under-10' || ageBand === '10-13'
export const isBeginner = ({ experience }: Pick<ClubPerson, 'experience'>): boolean =>
  (experience ?? 'first-months') === 'first-months'

/** Whether the log may name somebody: of a minor nothing is kept before a guardian has agreed. */
export const mayBeLogged = (one: Pick<ClubPerson, 'ageBand' | 'guardianAgrees'>): boolean =>
  !isMinor(one) || one.guardianAgrees === true

/** Days after which it is asked whether a minor who no longer comes should be deleted. */
const A_YEAR = 365

/** Whether a minor has not been here for a year on a day (as 2026-11-28). */
export function isLongGone(one: Pick<ClubPerson, 'ageBand' | 'lastHere'>, day: string): boolean {
  if (!isMinor(one) || one.lastHere === undefined) return false
  return daysBetween(one.lastHere, day) > A_YEAR
}
