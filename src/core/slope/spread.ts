import { sure, present } from '../sure'

/** A place in a row: the centre that it should have, and its width, in pixels. A `still` one is not moved. */
export interface Standing {
  wish: number
  width: number
  still?: boolean
}

/**
 * Centres for a row of places in the order given: each as near to its wish as the others allow, `gap` apart, within
 * 0 to `width` where they fit. Least squares under an order, by pooling neighbours that press on each other (the pool
 * adjacent violators algorithm; Barlow et al. 1972).
 */
export function spread(row: readonly Standing[], gap: number, width: number): number[] {
  const offsets: number[] = []
  let at = 0
  row.forEach((place, i) => {
    at += i ? (sure(row[i - 1]).width + place.width) / 2 + gap : 0
    offsets.push(at)
  })
  const pools: { sum: number; weight: number; from: number }[] = []
  row.forEach(({ wish, still }, i) => {
    const weight = still ? 1000 : 1
    pools.push({ sum: (wish - sure(offsets[i])) * weight, weight, from: i })
    while (pools.length > 1 && mean(sure(pools[pools.length - 2])) > mean(sure(pools[pools.length - 1]))) {
      const last = present(pools.pop())
      const pool = sure(pools[pools.length - 1])
      pool.sum += last.sum
      pool.weight += last.weight
    }
  })
  const centres: number[] = []
  pools.forEach((pool, p) => {
    const end = pools[p + 1]?.from ?? row.length
    for (let i = pool.from; i < end; i++) centres.push(mean(pool) + sure(offsets[i]))
  })
  return withinWidth(row, offsets, centres, width)
}

const mean = ({ sum, weight }: { sum: number; weight: number }) => sum / weight

/** Clamps what the order leaves room for; where the row is wider than there is room, it runs over to the right. */
function withinWidth(row: readonly Standing[], offsets: number[], centres: number[], width: number): number[] {
  if (!row.length) return centres
  const last = row.length - 1
  const least = sure(row[0]).width / 2
  const most = Math.max(least, width - sure(row[last]).width / 2 - sure(offsets[last]))
  return centres.map((centre, i) => Math.min(Math.max(centre, least + sure(offsets[i])), most + sure(offsets[i])))
}
