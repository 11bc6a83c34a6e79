import type { Block, Session } from './session'

/*
 * What to train in the next class: one theme, few things, the minutes on each. Exact, because what minutes on a thing
 * are worth rises ever more slowly and in the same way for all of them.
 */

/** Something that can be drilled: a move, perhaps as an answer, and what ten minutes in the end bring the start. */
export interface Drillable {
  move: string
  reply?: string
  /** What a class with it would be about: the band of positions that it is tried from. */
  theme: string
  /** Gain of the start, in worth, of one step of the drill. */
  gain: number
  /** Most of those who come and were shown it are due for it again. */
  isDue: boolean
  /** Most of those who come and were asked for it did not know it. */
  isMissed: boolean
}

export interface Thing extends Drillable {
  minutes: number
  /** What these minutes are worth. */
  worth: number
}

export interface Proposal {
  theme: string
  things: Thing[]
  /** What the minutes bring, with what counts for more: best is where this is most. */
  counts: number
  /** Minutes that nothing is better used for than rounds from where the theme begins. */
  rounds: number
}

/** Things in one class: more are not kept in mind. */
export const MOST_THINGS = 3
/** A thing gets no fewer minutes than this. */
export const LEAST_MINUTES = 5
/** Nor more: after these three quarters of what a drill can bring are there, and hands are tired. */
export const MOST_MINUTES = 20
/** Half of what a drill can bring is there after so many minutes. */
const HALF_AFTER = 10
/** What is due again is on its way to being forgotten, and what was not known is not there yet: it counts for more. */
const [DUE, MISSED] = [1.25, 1.25]

/** What things bring the start, in worth, by the minutes on each; what is due counts no more here than what is not. */
export const worthOf = (things: readonly Thing[]): number => things.reduce((sum, { worth }) => sum + worth, 0)

/** What minutes on one thing are worth, of its gain: 1 − 2^(−m/10). */
export const shareAfter = (minutes: number): number => 1 - 2 ** (-minutes / HALF_AFTER)

const weightOf = ({ isDue, isMissed }: Drillable) => (isDue ? DUE : 1) * (isMissed ? MISSED : 1)
const weighed = (one: Drillable) => one.gain * weightOf(one)

/** The best class of each theme, the best theme first; none where nothing would bring anything. */
export function proposals(drillables: readonly Drillable[], minutes: number): Proposal[] {
  const themes = [...new Set(drillables.map(({ theme }) => theme))]
  return themes
    .map((theme) =>
      bestOf(
        theme,
        drillables.filter((one) => one.theme === theme && one.gain > 0),
        minutes,
      ),
    )
    .filter(({ things }) => things.length > 0)
    .sort((a, b) => b.counts - a.counts)
}

/** Of so many things those that bring most are best, since minutes are worth the same share of each. */
function bestOf(theme: string, drillables: readonly Drillable[], minutes: number): Proposal {
  const sorted = drillables.toSorted((a, b) => weighed(b) - weighed(a))
  const most = Math.min(MOST_THINGS, sorted.length, Math.floor(minutes / LEAST_MINUTES))
  const some = Array.from({ length: most }, (_, i) => shared(sorted.slice(0, i + 1), minutes))
  const countOf = (things: readonly Thing[]) => things.reduce((sum, one) => sum + one.worth * weightOf(one), 0)
  const things = some.sort((a, b) => countOf(b) - countOf(a))[0] ?? []
  const rounds = minutes - things.reduce((sum, one) => sum + one.minutes, 0)
  return { theme, things, counts: countOf(things), rounds }
}

/** The minutes, one by one, each to the thing that it brings most and that has not had enough. */
function shared(some: readonly Drillable[], minutes: number): Thing[] {
  const spent = some.map(() => LEAST_MINUTES)
  const more = (one: Drillable, i: number) => {
    const had = spent[i] ?? 0
    return had < MOST_MINUTES ? weighed(one) * (shareAfter(had + 1) - shareAfter(had)) : 0
  }
  for (let left = minutes - LEAST_MINUTES * some.length; left > 0; left--) {
    const gains = some.map(more)
    const gain = Math.max(...gains)
    if (gain === 0) break
    const best = gains.indexOf(gain)
    spent[best] = (spent[best] ?? 0) + 1
  }
  return some.map((one, i) => ({ ...one, minutes: spent[i] ?? 0, worth: one.gain * shareAfter(spent[i] ?? 0) }))
}

/** Blocks that stay as they are when a proposal is taken. */
export const KEPT: readonly Block['kind'][] = ['warm-up', 'free-rounds', 'cool-down', 'stop-and-mend']

/** Minutes of a class for its theme: all that are not kept for something else. */
export function themeMinutes({ minutes, blocks }: Pick<Session, 'minutes' | 'blocks'>): number {
  const kept = blocks.filter(({ kind }) => KEPT.includes(kind))
  return Math.max(0, minutes - kept.reduce((sum, one) => sum + one.minutes, 0))
}
