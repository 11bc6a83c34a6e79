import type { FAMILIES } from '../chart/words'

/** Words in a position's name that tell its family; the longer ones first, since "half guard" is no guard. */
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

/** The family that a position's name suggests, if any. */
export function guessFamily(name: string): string | undefined {
  const text = name.toLowerCase()
  return SIGNS_OF_FAMILY.find(([word]) => text.includes(word))?.[1]
}

/** What a new position is taken for until the coach says otherwise. `family`: where it is known, as by its band. */
export function positionFromName(name: string, family = guessFamily(name) ?? 'standing') {
  const isUnder = /\b(under|underneath|bottom|they have|their)\b/i.test(name) && family !== 'guard'
  const isEven = ['standing', 'clinch', 'guard', 'half-guard'].includes(family)
  return { name, family, ahead: isUnder ? ('theirs' as const) : isEven ? ('even' as const) : ('ours' as const) }
}
