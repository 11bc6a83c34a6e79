import type { Club } from '../club/clubKind'
import { lookedAt } from '../club/walks'
import { grouped } from './grouped'
import { mondayOf } from './weeks'

/** What came of rounds from one position: how many, for how long, and how many ended in a tap or with an escape. */
export interface RoundsFrom {
  position: string
  rounds: number
  seconds: number
  taps: number
  out: number
}

/** Rounds by where they began, the longest worked first. What began nowhere in particular is left out. */
export function roundsByPosition({ rounds }: Pick<Club, 'rounds'>, chart: string): RoundsFrom[] {
  const own = rounds.filter((one) => one.position !== undefined && (one.chart ?? chart) === chart)
  return [...grouped(own, ({ position = '' }) => position)]
    .map(([position, some]) => ({
      ...{ position, rounds: some.length, seconds: some.reduce((sum, one) => sum + one.seconds, 0) },
      taps: some.filter(({ ended }) => ended === 'tap' || ended === 'had-it').length,
      out: some.filter(({ ended }) => ended === 'out' || ended === 'reversed').length,
    }))
    .sort((a, b) => b.seconds - a.seconds)
}

/** A week of walks round the room: in what share of the pairs that were looked at each mistake was seen. */
export interface MistakesIn {
  monday: string
  shares: ReadonlyMap<string, number>
}

/** Mistakes seen in the room, week by week; weeks without a walk are left out. */
export function mistakesByWeek({ sessions }: Pick<Club, 'sessions'>): MistakesIn[] {
  const walked = sessions.filter(({ walks }) => walks?.some((walk) => lookedAt(walk) > 0))
  return [...grouped(walked, ({ when }) => mondayOf(when))]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([monday, some]) => {
      const walks = some.flatMap(({ walks: own = [] }) => own)
      const names = [...new Set(walks.flatMap(({ mistakes }) => Object.keys(mistakes)))]
      const shareOf = (name: string) => {
        const asked = walks.filter(({ mistakes }) => name in mistakes)
        const pairs = asked.reduce((sum, walk) => sum + lookedAt(walk), 0)
        return pairs ? asked.reduce((sum, { mistakes }) => sum + (mistakes[name] ?? 0), 0) / pairs : 0
      }
      return { monday, shares: new Map(names.map((name) => [name, shareOf(name)])) }
    })
}
