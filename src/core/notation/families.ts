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
