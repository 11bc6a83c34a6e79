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

/** Traits that follow from a measure where they are not set. */
const MEASURED = ['arms', 'legs', 'neck', 'height'] as const

/** What of a habit is a trait, beside those of the body. */
export const HABIT = 'habit '

/**
 * Somebody of the club as the numbers need them: traits as set, those of the body by their measures where they are not,
 * and habits.
 */
export function athleteOf(person: ClubPerson, people: readonly ClubPerson[]): Athlete {
  const { id, traits = {}, weight, measures = {}, habits = {} } = person
  const group = people.filter(({ isRival }) => !isRival)
  const step = (own: number | undefined, of: (one: ClubPerson) => number | undefined) =>
    own === undefined
      ? undefined
      : stepOf(
          own,
          group.flatMap((one) => of(one) ?? []),
        )
  const measured = [
    ['weight', step(weight, (one) => one.weight)],
    ...MEASURED.map((trait) => [trait, step(measures[trait], (one) => one.measures?.[trait])]),
  ].filter(([, steps]) => steps !== undefined)
  const own = Object.entries(habits).map(([reaction, steps]) => [`${HABIT}${reaction}`, steps])
  const found = Object.fromEntries([...measured, ...own]) as Athlete['traits']
  return { id, traits: { ...found, ...traits } }
}
