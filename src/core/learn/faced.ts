import type { ClubPerson } from '../club/person'
import { isBeginner } from '../club/person'
import { lookUp } from '../chart/lookUp'
import type { LoggedTry } from '../match/tryLog'

/** On whom tries were, so that their figure can be read: how many in all, and what most of the partners share. */
export interface Faced {
  tries: number
  /** What most of them were: null where they were of all kinds, or are not known. */
  mostly: { weight: 'lighter' | 'heavier' | null; isBeginner: boolean; tries: number } | null
  /** How many different people. */
  partners: number
}

/** From such a share of one's own weight on somebody is lighter, or heavier. */
const APART = 0.1

const WEIGHTS = ['lighter', 'heavier', null] as const

/** Against whom somebody has tried something: what more than half of the partners were, the narrowest that holds. */
export function facedIn(tries: readonly LoggedTry[], us: ClubPerson, people: readonly ClubPerson[]): Faced {
  const partners = tries.flatMap(({ them }) => lookUp(people, them) ?? [])
  const weightOf = (them: ClubPerson) => {
    if (us.weight === undefined || them.weight === undefined) return null
    const by = them.weight / us.weight - 1
    return by <= -APART ? 'lighter' : by >= APART ? 'heavier' : null
  }
  const kinds = [true, false].flatMap((beginner) =>
    WEIGHTS.filter((weight) => weight !== null || beginner).map((weight) => ({
      ...{ weight, isBeginner: beginner },
      tries: partners.filter((one) => (!weight || weightOf(one) === weight) && (!beginner || isBeginner(one))).length,
    })),
  )
  // The first kinds say more: lighter beginners before beginners, and both before lighter.
  const mostly = kinds.find((kind) => kind.tries * 2 > tries.length) ?? null
  return { tries: tries.length, mostly, partners: new Set(partners.map(({ id }) => id)).size }
}
