import blossom from 'edmonds-blossom-fixed'
import { OUR_LIMITS, type Limits } from './limits'
import { EXPERIENCE, isBeginner, isMinor, type ClubPerson } from './person'
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
  /** How far apart minors may be in weight. */
  limits?: Pick<Required<Limits>, 'minorsApart'>
}

export interface Paired {
  /** Two together, or three who take turns. */
  pairs: string[][]
  /** Who can be paired with nobody who is there. */
  alone: string[]
}

/** By how much of the heavier two weights differ, in percent; null where one is not known. */
function weightGap(one: ClubPerson, other: ClubPerson): number | null {
  if (one.weight === undefined || other.weight === undefined) return null
  return (100 * Math.abs(one.weight - other.weight)) / Math.max(one.weight, other.weight)
}

/** Two who must not be paired, and why; null where they may. */
export function keptApart(
  one: ClubPerson,
  other: ClubPerson,
  { minorsWithAdults, limits = OUR_LIMITS }: PairingRules = {},
): KeptApart | null {
  if (one.notWith?.includes(other.id) || other.notWith?.includes(one.id)) return 'not-with'
  if (isMinor(one) !== isMinor(other)) return minorsWithAdults?.trim() ? null : 'minor-with-adult'
  if (!isMinor(one)) return null
  if (one.ageBand !== other.ageBand) return 'ages'
  return (weightGap(one, other) ?? 0) > limits.minorsApart ? 'sizes' : null
}

/** Adults who are so far apart in weight that neither throws the other. */
const areKeptFromThrows = (one: ClubPerson, other: ClubPerson, adultsApart: number): boolean =>
  (weightGap(one, other) ?? 0) > adultsApart

/** What a pair, or a three, must heed. */
export interface Heeds {
  /** Two are too far apart in weight. */
  noThrows: boolean
  /** A minor works with an adult. */
  noStranglesOrLegLocks: boolean
  /** One is a minor or in their first months: a round ends where somebody is caught, and nothing is put on. */
  endsAtHadIt: boolean
  /** What each must spare, where they must spare anything. */
  spared: { name: string; parts: string[] }[]
}
export function heeds(people: readonly ClubPerson[], limits: Pick<Required<Limits>, 'adultsApart'>): Heeds {
  const isMixed = people.some(isMinor) && !people.every(isMinor)
  return {
    noThrows: people.some((one) => people.some((other) => areKeptFromThrows(one, other, limits.adultsApart))),
    noStranglesOrLegLocks: isMixed,
    endsAtHadIt: people.some((one) => isMinor(one) || isBeginner(one)),
    spared: people.flatMap(({ name, spares = [] }) =>
      spares.length ? { name, parts: spares.map(({ side = '', part }) => `${side} ${part}`.trim()) } : [],
    ),
  }
}

/** What a pair is worth, in points of 1,000: whole numbers, so that sums are exact. A gap is in percent. */
const [BEST, A_PERCENT, A_LEVEL, AGAIN, UNKNOWN_GAP] = [1_000, 10, 150, 300, 8]

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
  return Math.max(1, BEST - Math.round(gap * A_PERCENT) - off * A_LEVEL - (again ? AGAIN : 0))
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
