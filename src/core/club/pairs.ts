import blossom from 'edmonds-blossom-fixed'
import { EXPERIENCE, isMinor, type ClubPerson } from './person'
import { present } from '../sure'

/** What pairs are for: to learn from each other, or to try against each other. */
export type PairFor = 'learn' | 'rounds'

/** Why two people are not paired. */
export type KeptApart = 'not-with' | 'minor-with-adult' | 'sizes' | 'ages'

export interface PairingRules {
  /** Pairs that worked together last time: ids, in any order. */
  lastTime?: readonly (readonly string[])[]
  /** The coach's reason to pair minors with adults; empty: they are not. */
  minorsWithAdults?: string
}

export interface Paired {
  /** Two together, or three who take turns. */
  pairs: string[][]
  /** Who can be paired with nobody who is there. */
  alone: string[]
}

/** Weights of minors may differ by so much of the heavier, and of adults without being kept from throws. */
const [MINORS_APART, ADULTS_APART] = [0.1, 0.2]

/** By how much of the heavier two weights differ; null where one is not known. */
function weightGap(one: ClubPerson, other: ClubPerson): number | null {
  if (one.weight === undefined || other.weight === undefined) return null
  return Math.abs(one.weight - other.weight) / Math.max(one.weight, other.weight)
}

/** Two who must not be paired, and why; null where they may. */
export function keptApart(
  one: ClubPerson,
  other: ClubPerson,
  { minorsWithAdults }: PairingRules = {},
): KeptApart | null {
  if (one.notWith?.includes(other.id) || other.notWith?.includes(one.id)) return 'not-with'
  if (isMinor(one) !== isMinor(other)) return minorsWithAdults?.trim() ? null : 'minor-with-adult'
  if (!isMinor(one)) return null
  if (one.ageBand !== other.ageBand) return 'ages'
  return (weightGap(one, other) ?? 0) > MINORS_APART ? 'sizes' : null
}

/** Adults who are so far apart in weight that neither throws the other. */
export const areKeptFromThrows = (one: ClubPerson, other: ClubPerson): boolean =>
  (weightGap(one, other) ?? 0) > ADULTS_APART

/** What a pair is worth, in points of 1,000: whole numbers, so that sums are exact. */
const [BEST, A_LEVEL, AGAIN, UNKNOWN_GAP] = [1_000, 150, 300, 0.08]

const levelOf = ({ experience = 'first-months' }: ClubPerson) => EXPERIENCE.indexOf(experience)

/**
 * How well two work together: of similar size; to learn, of different experience, else of the same; not the same as
 * last time. Higher is better, and always above 0.
 */
export function pairWorth(
  one: ClubPerson,
  other: ClubPerson,
  what: PairFor,
  { lastTime = [] }: PairingRules = {},
): number {
  const apart = Math.abs(levelOf(one) - levelOf(other))
  const off = what === 'learn' ? Math.abs(apart - 1) : apart
  const again = lastTime.some((pair) => pair.includes(one.id) && pair.includes(other.id))
  const gap = weightGap(one, other) ?? UNKNOWN_GAP
  return Math.max(1, BEST - Math.round(gap * BEST) - off * A_LEVEL - (again ? AGAIN : 0))
}

/**
 * As many pairs as can be, and of those the best in sum: a maximum weight matching (Edmonds 1965, Galil 1986; the
 * package is a port of van Rantwijk's). Who is left joins the pair that it costs least, to make a three.
 */
export function pairUp(people: readonly ClubPerson[], what: PairFor, rules: PairingRules = {}): Paired {
  const edges = people.flatMap((one, i) =>
    people
      .slice(i + 1)
      .flatMap((other, k): [number, number, number][] =>
        keptApart(one, other, rules) ? [] : [[i, i + 1 + k, pairWorth(one, other, what, rules)]],
      ),
  )
  const mates = blossom(edges, true)
  const pairs: ClubPerson[][] = []
  const left: ClubPerson[] = []
  people.forEach((one, i) => {
    const mate = mates[i] ?? -1
    if (mate > i) pairs.push([one, present(people[mate])])
    else if (mate < 0) left.push(one)
  })
  const alone = left.filter((one) => !joinThree(pairs, one, what, rules))
  return { pairs: pairs.map(idsOf), alone: idsOf(alone) }
}

const idsOf = (people: readonly ClubPerson[]) => people.map(({ id }) => id)

/** Puts one more into the pair that it fits best; whether there is one. */
function joinThree(pairs: ClubPerson[][], one: ClubPerson, what: PairFor, rules: PairingRules): boolean {
  const open = pairs
    .filter((pair) => pair.length === 2 && pair.every((other) => !keptApart(one, other, rules)))
    .map((pair) => ({ pair, worth: pair.reduce((sum, other) => sum + pairWorth(one, other, what, rules), 0) }))
    .sort((a, b) => b.worth - a.worth)
  open[0]?.pair.push(one)
  return open.length > 0
}

/**
 * Pairs so that all meet: one stays, the others go round (the circle method). `round` counts from 0. With an odd number
 * one sits out, named in `alone`.
 */
export function rotation(people: readonly string[], round: number): Paired {
  const places: (string | null)[] = people.length % 2 ? [...people, null] : [...people]
  const [stays, ...others] = places
  if (stays === undefined) return { pairs: [], alone: [] }
  const by = others.length ? round % others.length : 0
  const turned = [stays, ...others.slice(by), ...others.slice(0, by)]
  const both = Array.from({ length: turned.length / 2 }, (_, i) => [turned[i], turned[turned.length - 1 - i]])
  const pairs = both.map((pair) => pair.flatMap((id) => id ?? []))
  return { pairs: pairs.filter((pair) => pair.length === 2), alone: pairs.filter((pair) => pair.length === 1).flat() }
}
