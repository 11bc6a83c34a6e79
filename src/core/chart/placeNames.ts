import { isEndId, type EndId } from './ids'
import { lookUp } from './lookUp'

/** How an exchange ends elsewhere than in a position, in words. */
export const END_WORDS: Readonly<Record<EndId, string>> = {
  caught: 'they finish us',
  over: 'it is over, nobody ahead',
}

/** The name of a place: of a position, or how it ends there; the id where there is no such position. */
export function placeName(positions: readonly { id: string; name: string }[], place: string): string {
  if (place === 'finish') return 'a finish'
  return isEndId(place) ? END_WORDS[place] : (lookUp(positions, place)?.name ?? place)
}

/** How families are called where their name in the file is not what a coach says. */
const FAMILY_NAMES: Partial<Record<string, string>> = {
  'knee-ride': 'knee on belly',
  'half-guard': 'half guard',
  legs: 'leg locks',
}

export const familyName = (family: string): string => FAMILY_NAMES[family] ?? family

/** The family of a name as a coach says it; any other word is a family of its own. */
export const familyNamed = (name: string): string =>
  Object.keys(FAMILY_NAMES).find((family) => FAMILY_NAMES[family] === name.toLowerCase()) ?? name
