import type { Athlete } from '../match/adjust'
import type { ClubPerson } from './person'

/** Traits that are known by name; a coach may add others. */
export const TRAITS = [
  'arms',
  'legs',
  'neck',
  'height',
  'weight',
  'hips',
  'shoulders',
  'grip',
  'speed',
  'wind',
] as const
export type Trait = (typeof TRAITS)[number]

/** A trait goes so many steps from the usual, and is told from measures of so many people at least. */
const [MOST, ENOUGH] = [2, 5]

/** The step of a measure from those of the group, in standard deviations: -2 to 2; 0 where too few are known. */
export function stepOf(measure: number, group: readonly number[]): number {
  if (group.length < ENOUGH) return 0
  const mean = group.reduce((sum, one) => sum + one, 0) / group.length
  const spread = Math.sqrt(group.reduce((sum, one) => sum + (one - mean) ** 2, 0) / group.length)
  if (spread === 0) return 0
  return Math.max(-MOST, Math.min(MOST, Math.round((measure - mean) / spread))) || 0
}

/** Somebody of the club as the numbers need them: traits as set, and the weight by its measure where it is not. */
export function athleteOf(person: ClubPerson, people: readonly ClubPerson[]): Athlete {
  const { id, traits = {}, weight } = person
  const weights = people.flatMap((one) => one.weight ?? [])
  const measured = weight === undefined ? {} : { weight: stepOf(weight, weights) }
  return { id, traits: { ...measured, ...traits } }
}
