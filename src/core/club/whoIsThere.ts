import { lookUp } from '../chart/lookUp'
import type { Club } from './clubKind'
import { isBeginner, isMinor, isUnder14, type ClubPerson } from './person'
import type { Session } from './session'

/** Guests as people of whom nothing is known but whether they are children; as such they count as beginners. */
export function guestsOf({ guests = { adults: 0, children: 0 } }: Pick<Session, 'guests'>): ClubPerson[] {
  const some = (n: number, age: 'adult' | 'child'): ClubPerson[] =>
    Array.from({ length: n }, (_, i) => ({
      ...{ id: `guest-${age}-${i + 1}`, name: age === 'adult' ? `Guest ${i + 1}` : `Child ${i + 1}` },
      ...(age === 'child' ? { ageBand: 'under-10' as const } : {}),
    }))
  return [...some(guests.adults, 'adult'), ...some(guests.children, 'child')]
}

/** The coach as somebody's partner, where one is left over; nothing of it is logged by name. */
export const COACH: ClubPerson = { id: 'coach-steps-in', name: 'Coach', experience: 'competes' }

/** Who trains here: everybody but those whom ours only meet in matches. */
export const membersOf = ({ people }: Pick<Club, 'people'>): ClubPerson[] => people.filter(({ isRival }) => !isRival)

/** Those of a class whom the club knows. */
export const knownOf = (club: Pick<Club, 'people'>, session: Pick<Session, 'people'>): ClubPerson[] =>
  session.people.flatMap((id) => lookUp(club.people, id) ?? [])

/** Everybody of a class, guests too. */
export const peopleOf = (club: Pick<Club, 'people'>, session: Pick<Session, 'people' | 'guests'>): ClubPerson[] => [
  ...knownOf(club, session),
  ...guestsOf(session),
]

/** Up to three letters for a tile on the mat: the first of each word, else the first two. */
export function initialsOf(name: string): string {
  const words = name.split(/[\s.-]+/).filter(Boolean)
  const letters = words.length > 1 ? words.map((word) => word.slice(0, 1)).join('') : (words[0] ?? '').slice(0, 2)
  return letters.slice(0, 3).toLocaleUpperCase()
}

/** Initials of everybody, told apart by a number where two have the same. */
export function initialsOfAll(people: readonly Pick<ClubPerson, 'id' | 'name'>[]): Map<string, string> {
  const times = new Map<string, number>()
  return new Map(
    people.map(({ id, name }) => {
      const initials = initialsOf(name)
      const n = (times.get(initials) ?? 0) + 1
      times.set(initials, n)
      return [id, n > 1 ? `${initials}${n}` : initials]
    }),
  )
}

/** The strictest that somebody there asks for. */
export interface Strictest {
  hasMinor: boolean
  hasUnder14: boolean
  hasBeginner: boolean
}
export const strictestOf = (people: readonly ClubPerson[]): Strictest => ({
  hasMinor: people.some(isMinor),
  hasUnder14: people.some(isUnder14),
  hasBeginner: people.some(isBeginner),
})
