import { bandsOf } from '../chart/bands'
import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { athleteOf } from '../club/athlete'
import type { Club } from '../club/clubKind'
import type { RoundFact } from '../club/logRecords'
import type { Scenario } from '../game/scenario'
import { wilson } from '../insight/tallied'
import type { Job } from '../job'
import { landingShare } from '../match/recordOf'
import { isLive, type LoggedTry } from '../match/tryLog'
import { Before, endOf, ROUND_ENDS, roundsAbout, type Foretold, type RoundEnd } from './foretold'
import { grouped } from './grouped'

/** Something that was foretold, with a chance of 0 to 1, and whether it came true. */
export interface Foresaid {
  chance: number
  isTrue: boolean
}

/** A round with how it was foretold, before its day, to end. */
export interface RoundSeen {
  position: PositionId
  foretold: Foretold
  ended: RoundEnd
  wasKnown: boolean
}

/** A stretch of chances: what was foretold in the mean, what came true, and what that lies within, eight of ten. */
export interface Reliability {
  foretold: number
  happened: number
  of: number
  low: number
  high: number
}

/** What was foretold of rounds, or of tries, held against what came. */
export interface Held {
  name: string
  of: number
  foretold: number
  happened: number
}

export interface CameTrue {
  rounds: RoundSeen[]
  /** Tries of which the whole was seen, by the region that they were tried from. */
  regions: { name: string; tries: Foresaid[] }[]
}

/** So many rounds, and so many tries, the last ones, are looked at. */
const [MOST_ROUNDS, MOST_TRIES] = [400, 4_000]

/** Everything that is asked: the scenario says how well they see things coming, and by which rules. */
export interface CameTrueAsked {
  club: Pick<Club, 'people' | 'sessions' | 'rounds'> & { tries: readonly LoggedTry[] }
  halfLife: number
}

/**
 * The rounds and tries of a club held against what the plan foretold of each on the day before: with the log until
 * then, and between the two that they were. `chart`: without tallies that the log has.
 */
export function* cameTrueOf(chart: Chart, scenario: Scenario, { club, halfLife }: CameTrueAsked): Job<CameTrue> {
  const athletes = new Map(club.people.map((one) => [one.id, athleteOf(one, club.people)]))
  const before = new Before(chart, club.tries, athletes, halfLife)
  const about = roundsAbout(chart, club)
  const rounds: RoundSeen[] = []
  const asked = club.rounds.slice(-MOST_ROUNDS)
  for (const [i, round] of asked.entries()) {
    const { seconds, wasKnown } = about(round)
    const seen = roundSeen(before, round, { chart, scenario, seconds })
    if (seen) rounds.push({ ...seen, wasKnown })
    yield (i + 1) / (asked.length + 1)
  }
  const regionOf = regionsOf(chart)
  const tries = club.tries.filter((one) => isLive(one) && one.outcome !== 'failed').slice(-MOST_TRIES)
  const known = tries.flatMap((one) => {
    const chance = landingShare(before.chartFor(one), one)
    const region = regionOf.get(lookUp(chart.moves, one.move)?.from ?? '')
    return chance === undefined || region === undefined ? [] : [{ region, chance, isTrue: one.outcome === 'lands' }]
  })
  const regions = [...grouped(known, ({ region }) => region)].map(([name, some]) => ({ name, tries: some }))
  return { rounds, regions }
}

function roundSeen(
  before: Before,
  round: RoundFact,
  { chart, scenario, seconds }: { chart: Chart; scenario: Scenario; seconds: number },
): Omit<RoundSeen, 'wasKnown'> | null {
  const ended = endOf(round.ended)
  const position = lookUp(chart.positions, round.position)?.id
  if (!ended || !position || (round.chart !== undefined && round.chart !== chart.id)) return null
  const foretold = before.round(round, position, seconds, scenario)
  return foretold && { position, foretold, ended }
}

const regionsOf = ({ positions }: Chart) =>
  new Map(bandsOf(positions).flatMap(({ name, positions: places }) => places.map(({ id }) => [id as string, name])))

const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / (list.length || 1)

/** How rounds were foretold to end in the mean, and how they did. */
export const endsHeld = (rounds: readonly RoundSeen[]): Record<RoundEnd, Held> =>
  Object.fromEntries(
    ROUND_ENDS.map((end) => [
      end,
      held(
        end,
        rounds.map(({ foretold, ended }) => said(foretold[end], ended === end)),
      ),
    ]),
  ) as Record<RoundEnd, Held>

const said = (chance: number, isTrue: boolean): Foresaid => ({ chance, isTrue })

/** A name with what was foretold under it in the mean, and what came true. */
export const held = (name: string, all: readonly Foresaid[]): Held => ({
  ...{ name, of: all.length },
  foretold: mean(all.map(({ chance }) => chance)),
  happened: mean(all.map(({ isTrue }) => Number(isTrue))),
})

/** What was foretold in fifths of the way from never to always, each with what came of it; empty ones are left out. */
export function reliability(all: readonly Foresaid[], stretches = 5): Reliability[] {
  const by = grouped(all, ({ chance }) => Math.min(stretches - 1, Math.floor(chance * stretches)))
  return [...by]
    .sort(([a], [b]) => a - b)
    .map(([, some]) => {
      const { foretold, happened, of } = held('', some)
      return { foretold, happened, of, ...wilson(happened * of, of) }
    })
}

/** The mean square by which what was foretold was off: 0 is always right, 0.25 is a coin (Brier 1950). */
export const brier = (all: readonly Foresaid[]): number =>
  mean(all.map(({ chance, isTrue }) => (chance - Number(isTrue)) ** 2))

/** What rounds were foretold of finishes. */
export const finishesOf = (rounds: readonly RoundSeen[]): Foresaid[] =>
  rounds.map(({ foretold, ended }) => said(foretold.tap, ended === 'tap'))

/** Where it was off most, of what came up often enough, the furthest first. */
export function offMost(all: readonly Held[], least = 8): Held[] {
  const far = ({ foretold, happened, of }: Held) => Math.abs(foretold - happened) * Math.sqrt(of)
  return all.filter(({ of }) => of >= least).toSorted((a, b) => far(b) - far(a))
}
