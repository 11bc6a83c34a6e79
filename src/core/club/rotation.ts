import { keptApart, pairUp, type Paired, type PairingRules } from './pairs'
import type { ClubPerson } from './person'
import { present } from '../sure'

/** Pairs of a turn of the circle: one stays, the others go round. An odd one out is alone. */
function circle(people: readonly ClubPerson[], turn: number): ClubPerson[][] {
  const places: (ClubPerson | null)[] = people.length % 2 ? [...people, null] : [...people]
  const [stays, ...others] = places
  if (stays === undefined) return []
  const by = others.length ? turn % others.length : 0
  const turned = [stays, ...others.slice(by), ...others.slice(0, by)]
  return Array.from({ length: turned.length / 2 }, (_, i) =>
    [turned[i], turned[turned.length - 1 - i]].flatMap((one) => one ?? []),
  )
}

/**
 * Pairs of a turn (from 0). After as many turns as there are people, or one less where they are even, all have met:
 * the circle method. Who would meet somebody that they are kept from, or is the odd one out, works with who is left,
 * else as the third.
 */
export function allMeet(people: readonly ClubPerson[], turn: number, rules: PairingRules = {}): Paired {
  const sorted = people.toSorted((a, b) => (a.id < b.id ? -1 : 1))
  const isFine = (pair: readonly ClubPerson[]) =>
    pair.length === 2 && !keptApart(present(pair[0]), present(pair[1]), rules)
  const pairs = circle(sorted, turn)
  const left = pairUp(pairs.filter((pair) => !isFine(pair)).flat(), 'rounds', rules)
  const met = [...pairs.filter(isFine).map((pair) => pair.map(({ id }) => id)), ...left.pairs]
  return withThirds({ pairs: met, alone: left.alone }, people, rules)
}

/** Those who are left alone join a pair in which they may work, the first that there is. */
function withThirds({ pairs, alone }: Paired, people: readonly ClubPerson[], rules: PairingRules): Paired {
  const find = (id: string) => present(people.find((one) => one.id === id))
  const joined = pairs.map((pair) => [...pair])
  const left = alone.filter((id) => {
    const open = joined.find(
      (pair) => pair.length === 2 && pair.every((other) => !keptApart(find(id), find(other), rules)),
    )
    open?.push(id)
    return !open
  })
  return { pairs: joined, alone: left }
}
