import type { Mat, Pairing } from './liveRecords'

/** Those who can begin before those who wait for a partner, each in their order. */
export const readyFirst = (queue: readonly Pairing[]): Pairing[] => [
  ...queue.filter(({ people }) => people.length > 1),
  ...queue.filter(({ people }) => people.length < 2),
]

/** Pairs on so many mats, to each in turn. */
export function onMats(pairs: readonly string[][], mats: number): Mat[] {
  return Array.from({ length: Math.max(1, mats) }, (_, i) => ({
    n: i + 1,
    queue: readyFirst(pairs.filter((_pair, k) => k % mats === i).map((people) => ({ people: [...people] }))),
  }))
}
