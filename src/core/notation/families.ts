import type { FAMILIES } from '../chart/words'

/** Words in a position's name and the family that they indicate. Longer ones first: "half guard" is no guard. */
const SIGNS_OF_FAMILY: [word: string, family: (typeof FAMILIES)[number]][] = [
  ['half guard', 'half-guard'],
  ['guard', 'guard'],
  ['crucifix', 'crucifix'],
  ['knee on belly', 'knee-ride'],
  ['knee ride', 'knee-ride'],
  ['north-south', 'north-south'],
  ['north south', 'north-south'],
  ['headlock', 'headlock'],
  ['turtle', 'turtle'],
  ['mount', 'mount'],
  ['back', 'back'],
  ['side', 'side'],
  ['clinch', 'clinch'],
  ['tie', 'clinch'],
  ['ride', 'ride'],
  ['stand', 'standing'],
  ['legs', 'legs'],
]

/** The family that a position's name suggests; undefined where it has none of the known words. */
export function guessFamily(name: string): string | undefined {
  const text = name.toLowerCase()
  return SIGNS_OF_FAMILY.find(([word]) => text.includes(word))?.[1]
}

/** The fields of a new position until the coach changes them. `family`: by default guessed from the name. */
export function positionFromName(name: string, family = guessFamily(name) ?? 'standing') {
  const isUnder = /\b(under|underneath|bottom|they have|their)\b/i.test(name) && family !== 'guard'
  const isEven = ['standing', 'clinch', 'guard', 'half-guard'].includes(family)
  return { name, family, ahead: isUnder ? ('theirs' as const) : isEven ? ('even' as const) : ('ours' as const) }
}
