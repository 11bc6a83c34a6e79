import { blockMoves, startOf } from '../club/blockMoves'
import type { Athlete } from '../match/adjust'
import { adjusted } from '../match/adjust'
import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import type { Club } from '../club/clubKind'
import type { Ended, RoundFact } from '../club/logRecords'
import type { Scenario } from '../game/scenario'
import type { LoggedTry } from '../match/tryLog'
import { solved } from '../questions/solved'
import { occupancyOf } from '../solve/occupancy'

/** How a round can end, as it is foretold: shares of 1. */
export const ROUND_ENDS = ['tap', 'out', 'reversed', 'time'] as const
export type RoundEnd = (typeof ROUND_ENDS)[number]
export type Foretold = Record<RoundEnd, number>

/** How a round that was logged ended; null where nobody can say. Caught and released is as good as a tap. */
export const endOf = (ended: Ended): RoundEnd | null =>
  ended === 'had-it' ? 'tap' : ended === 'no-result' ? null : ended

/** A chart as it was before a day, between two people: everything that is foretold comes from what was known then. */
export class Before {
  private readonly charts = new Map<string, Chart>()
  private readonly rounds = new Map<string, Foretold | null>()

  constructor(
    private readonly chart: Chart,
    private readonly tries: readonly LoggedTry[],
    private readonly athletes: ReadonlyMap<string, Athlete>,
    private readonly halfLife: number,
  ) {}

  chartFor({ when, us, them }: { when: string; us?: string; them?: string }): Chart {
    const key = [when, us, them].join(' ')
    const known = this.charts.get(key)
    if (known) return known
    const named = (id: string | undefined) => (id === undefined ? null : (this.athletes.get(id) ?? null))
    const log = { tries: this.tries.filter((one) => one.when < when), now: when, halfLife: this.halfLife }
    const found = adjusted(this.chart, { us: named(us), them: named(them), log })
    this.charts.set(key, found)
    return found
  }

  /** How a round of a position and a length, in seconds, would end; null where that cannot be computed. */
  round(of: RoundFact, position: PositionId, seconds: number, scenario: Scenario): Foretold | null {
    const key = [of.when, of.us, of.them, position, seconds].join(' ')
    const known = this.rounds.get(key)
    if (known !== undefined) return known
    const found = foretell(this.chartFor(of), { ...scenario, start: position, seconds })
    this.rounds.set(key, found)
    return found
  }
}

/** How an exchange under a scenario with a clock ends. What is broken up, they are out of. */
export function foretell(chart: Chart, scenario: Scenario): Foretold | null {
  const solution = solved(chart, scenario, { roots: 'start', everySecond: true })
  if (!solution) return null
  const { finish, caught, over, broken, ended } = occupancyOf(solution)
  const time = ended[0] + ended[1] + ended[2] - over - broken
  return { tap: finish, reversed: caught, out: over + broken, time: Math.max(0, time) }
}

/** Of a round: its length in seconds, and whether the partner knew what was coming, as where one move was drilled. */
export interface RoundAbout {
  seconds: number
  wasKnown: boolean
}

/** How long the rounds of a class were, and what they were about, by where they began. */
export function roundsAbout(chart: Chart, club: Pick<Club, 'sessions' | 'rounds'>): (round: RoundFact) => RoundAbout {
  const sessions = new Map(club.sessions.map((one) => [one.id, one]))
  const longest = new Map<string, number>()
  for (const { session = '', seconds } of club.rounds)
    longest.set(session, Math.max(longest.get(session) ?? 0, seconds))
  return ({ session = '', position, seconds }) => {
    const blocks = sessions.get(session)?.blocks ?? []
    const block = blocks.find((one) => one.kind === 'rounds-from' && startOf(chart, one) === position)
    return {
      seconds: Math.max(seconds, block?.work ?? longest.get(session) ?? 0, 1),
      wasKnown: block !== undefined && block.about?.kind !== 'position' && blockMoves(chart, block).length > 0,
    }
  }
}
