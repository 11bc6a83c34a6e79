import { DEFAULT_SPREAD, normal } from '../chart/race'
import { totalOf, writtenOut, type Tries, type Whole } from '../chart/tries'

/** Outcomes of tries by name: `lands`, `stalls`, `reaction ID` or `elsewhere ID`, to shares or counts. */
export type Outcomes = ReadonlyMap<string, number>

export const reactionKey = (id: string): string => `reaction ${id}`
export const elsewhereKey = (id: string): string => `elsewhere ${id}`
export const isReactionKey = (key: string): boolean => key.startsWith('reaction ')
const idIn = (key: string) => key.slice(key.indexOf(' ') + 1)

/** The shares of tries, a race written out at its own times; they sum to 1, or are empty where there are no tries. */
export function sharesOf(tries: Whole): Outcomes {
  const total = totalOf(tries)
  if (total === 0) return new Map()
  const { lands = 0, stalls = 0, elsewhere = {}, reactions = {} } = writtenOut(tries)
  return new Map([
    ['lands', lands / total],
    ['stalls', stalls / total],
    ...Object.entries(reactions).map(([id, n]): [string, number] => [reactionKey(id), n / total]),
    ...Object.entries(elsewhere).map(([id, n]): [string, number] => [elsewhereKey(id), n / total]),
  ])
}

/**
 * The same number of tries with other shares. A race keeps its reaction, their time and its spread: each of its two
 * parts is multiplied by what its outcome is multiplied by, and our time becomes the one that gives the new chance.
 */
export function withShares(tries: Whole, shares: Outcomes): Whole {
  const total = totalOf(tries)
  const before = sharesOf(tries)
  const { race, lands = 0, stalls = 0, elsewhere = {}, reactions = {}, ...others } = tries
  const plain = new Map<string, number>([
    ['lands', lands],
    ['stalls', stalls],
    ...Object.entries(reactions).map(([id, n]): [string, number] => [reactionKey(id), n]),
    ...Object.entries(elsewhere).map(([id, n]): [string, number] => [elsewhereKey(id), n]),
  ])
  const factor = (key: string) => {
    const was = before.get(key) ?? 0
    return was > 0 ? (shares.get(key) ?? 0) / was : 0
  }
  const counts = new Map<string, number>()
  for (const [key, share] of shares) {
    counts.set(key, (before.get(key) ?? 0) > 0 ? (plain.get(key) ?? 0) * factor(key) : share * total)
  }
  return { ...others, ...asTries(counts, tries), ...(race ? { race: racing(race, factor) } : {}) }
}

/** Counts as tries, with the fields that the tries had, and others only where something came of them. */
function asTries(counts: Outcomes, had: Tries): Tries {
  const some = (is: (key: string) => boolean, before: Record<string, number> | undefined) => {
    const own = [...counts].filter(([key, n]) => is(key) && (n > 0 || idIn(key) in (before ?? {})))
    return own.length || before ? Object.fromEntries(own.map(([key, n]) => [idIn(key), n])) : undefined
  }
  const reactions = some(isReactionKey, had.reactions)
  const elsewhere = some((key) => key.startsWith('elsewhere '), had.elsewhere)
  const [lands = 0, stalls = 0] = [counts.get('lands'), counts.get('stalls')]
  return {
    ...(lands > 0 || had.lands !== undefined ? { lands } : {}),
    ...(stalls > 0 || had.stalls !== undefined ? { stalls } : {}),
    ...(reactions ? { reactions } : {}),
    ...(elsewhere ? { elsewhere } : {}),
  }
}

function racing(race: NonNullable<Whole['race']>, factor: (key: string) => number): NonNullable<Whole['race']> {
  const { ours, theirs, spread = DEFAULT_SPREAD, tries, reaction } = race
  const root = spread * Math.SQRT2
  const won = tries * normal(Math.log(theirs / ours) / root)
  const [wins, losses] = [won * factor('lands'), (tries - won) * factor(reactionKey(reaction))]
  const all = wins + losses
  if (all === 0) return { ...race, tries: 0 }
  return { ...race, ours: theirs * Math.exp(-root * normalQuantile(wins / all)), tries: all }
}

const STEPS = 60
/** Beyond so many standard deviations a double cannot tell. */
const FAR = 8

/** Where the standard normal distribution function comes to p: Newton's method, kept within what is left by halving. */
export function normalQuantile(p: number): number {
  if (p <= 0) return -FAR
  if (p >= 1) return FAR
  let [low, high] = [-FAR, FAR]
  let x = 0
  for (let i = 0; i < STEPS; i++) {
    const over = normal(x) - p
    if (over > 0) high = x
    else low = x
    const next = x - over * Math.sqrt(2 * Math.PI) * Math.exp((x * x) / 2)
    const inside = next > low && next < high ? next : (low + high) / 2
    if (inside === x) return x
    x = inside
  }
  return x
}
