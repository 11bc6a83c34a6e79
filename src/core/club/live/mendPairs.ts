import { keptApart, type PairingRules } from '../pairs'
import type { ClubPerson } from '../person'
import { sure } from '../../sure'
import type { Mat, Pairing } from './liveRecords'
import { readyFirst } from './onMats'

/** Who comes or goes. */
export type Comes = { joins: string } | { leaves: string }

interface Place {
  mat: Mat
  pairing: Pairing
}

/**
 * The mats after somebody has come or gone. The fewest pairs are changed: who is left alone works with somebody else
 * who is, else with the third of a three, else makes a three of the last pair, or waits until one
 * may be changed. A pair that works now is not touched.
 */
export function mended(
  mats: readonly Mat[],
  comes: Comes,
  people: readonly ClubPerson[],
  rules: PairingRules = {},
): Mat[] {
  const mayJoin = joining(people, rules)
  const after = 'leaves' in comes ? without(mats, comes.leaves) : withOneMore(mats, comes.joins)
  const places = after.flatMap((mat) => mat.queue.map((pairing): Place => ({ mat, pairing })))
  for (const one of places) joinSomebody(one, places, mayJoin)
  return spread(
    after.map((mat) => ({ ...mat, queue: readyFirst(mat.queue.filter((pairing) => pairing.people.length)) })),
  )
}

const without = (mats: readonly Mat[], id: string): Mat[] =>
  mats.map((mat) => ({
    ...mat,
    queue: mat.queue
      .map((pairing) => ({ people: pairing.people.filter((one) => one !== id) }))
      .filter((pairing) => pairing.people.length),
  }))

function withOneMore(mats: readonly Mat[], id: string): Mat[] {
  const copies = mats.map((mat) => ({ ...mat, queue: mat.queue.map(({ people }) => ({ people: [...people] })) }))
  if (copies.some(({ queue }) => queue.some(({ people }) => people.includes(id)))) return copies
  const shortest = sure(copies.toSorted((a, b) => a.queue.length - b.queue.length)[0])
  shortest.queue.push({ people: [id] })
  return copies
}

const isOn = ({ mat, pairing }: Place) => mat.round !== undefined && pairing.people.includes(mat.round.us)

function joinSomebody(one: Place, places: readonly Place[], mayJoin: MayJoin): void {
  const [alone, ...others] = one.pairing.people
  if (alone === undefined || others.length) return
  const idle = places.filter((place) => place.pairing !== one.pairing && !isOn(place))
  const lonely = idle.find(({ pairing }) => pairing.people.length === 1 && mayJoin(alone, pairing.people))
  const three = idle.find(({ pairing }) => pairing.people.length > 2 && mayJoin(alone, pairing.people.slice(-1)))
  const two = idle.findLast(({ pairing }) => pairing.people.length === 2 && mayJoin(alone, pairing.people))
  if (three && !lonely) return void one.pairing.people.push(sure(three.pairing.people.pop()))
  const other = lonely ?? two
  if (!other) return
  other.pairing.people.push(alone)
  one.pairing.people = []
}

/** A mat on which nobody is left takes a pair that waits on another. */
function spread(mats: Mat[]): Mat[] {
  for (const empty of mats.filter(({ queue }) => !queue.length)) {
    const longest = sure(mats.toSorted((a, b) => b.queue.length - a.queue.length)[0])
    const waits = longest.queue.length > 1 ? longest.queue.at(-1) : undefined
    if (!waits || isOn({ mat: longest, pairing: waits })) continue
    longest.queue = longest.queue.slice(0, -1)
    empty.queue = [waits]
  }
  return mats
}

/** Whether somebody may work with all of some others. */
export type MayJoin = (alone: string, ids: readonly string[]) => boolean

export function joining(people: readonly ClubPerson[], rules: PairingRules): MayJoin {
  const find = (id: string) => people.find((one) => one.id === id)
  return (alone, ids) => {
    const person = find(alone)
    return ids.every((id) => {
      const other = find(id)
      return !person || !other || !keptApart(person, other, rules)
    })
  }
}
