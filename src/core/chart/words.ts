/** The closed and the suggested word lists of the model: one list drives the validator, the types and the menus. */

export const AHEAD = ['ours', 'even', 'theirs'] as const
export type Ahead = (typeof AHEAD)[number]
export type ByAhead<T> = Record<Ahead, T>

export const KINDS = [
  'takedown',
  'entry',
  'grip',
  'hold',
  'pass',
  'advance',
  'ride',
  'submission',
  'escape',
  'reset',
] as const
export type Kind = (typeof KINDS)[number]

export const PEOPLE = ['ours', 'theirs'] as const
export type Person = (typeof PEOPLE)[number]

const PAIRED_LIMBS = ['hand', 'elbow', 'shoulder', 'hip', 'knee', 'foot'] as const
export const LIMBS = [
  ...PAIRED_LIMBS.map((limb) => `left-${limb}` as const),
  ...PAIRED_LIMBS.map((limb) => `right-${limb}` as const),
  'head',
  'chest',
] as const
export type Limb = (typeof LIMBS)[number]

/** The limb of this name; undefined where there is none. */
export const limbNamed = (name: string): Limb | undefined => LIMBS.find((limb) => limb === name)

/** The fields of a position or a move that may be guesses of the product. */
export const GUESSED = ['ahead', 'out', 'unprompted', 'seconds'] as const
export type Guessed = (typeof GUESSED)[number]

/** Families in the order of their bands, from the crest down; any other word gets a band of its own. */
export const FAMILIES = [
  'back',
  'crucifix',
  'mount',
  'north-south',
  'knee-ride',
  'side',
  'turtle',
  'ride',
  'headlock',
  'clinch',
  'standing',
  'half-guard',
  'guard',
  'legs',
] as const
