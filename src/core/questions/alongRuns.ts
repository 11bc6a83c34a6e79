import { isEndId, toMoveId, toPositionId, type PlaceId, type PositionId } from '../chart/ids'
import { present } from '../sure'
import { emptyChart, type Chart } from '../chart/chart'
import { holder } from '../chart/hold'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { RunPath } from '../chart/run'
import type { Kind } from '../chart/words'
import { TERMINAL, terminalWorth } from '../game/game'
import { scenarioOf, type Scenario } from '../game/scenario'
import { ruleSetOf } from '../chart/rules/ruleSets'
import type { ExpectedScore } from '../insight/points/points'
import { expectedScoreIn } from '../insight/points/scoringPass'
import { play, type Beat } from '../limbScore/play'
import type { Job } from '../job'
import { startWorth } from './solved'

type Spot = PlaceId | 'finish'

/** What is found of a run by solving beside it. */
export interface AlongRun {
  /** What the run scores if it goes as told; null where that cannot be counted. */
  scored: ExpectedScore | null
  /** Worth of letting go of every hold after each step, the start first; null once the exchange is over. */
  letGo: (number | null)[]
}

/** For each run: what it scores, and what letting go is worth after each step. Yields progress, 0 to 1. */
export function* alongRuns(chart: Chart, scenario: Scenario, runs: readonly RunPath[]): Job<AlongRun[]> {
  const worths = new Map<Spot, number | null>()
  const found: AlongRun[] = []
  const steps = runs.reduce((sum, run) => sum + run.steps.length + 1, 0)
  let done = 0
  for (const run of runs) {
    const { beats } = play(chart, { ...run, id: 'run', name: 'Run' })
    const letGo: (number | null)[] = []
    for (const beat of beats) {
      yield done++ / steps
      const spot = spotOf(chart, beat)
      const worth = worths.has(spot) ? (worths.get(spot) ?? null) : worthLetGo(chart, scenario, spot)
      worths.set(spot, worth)
      letGo.push(worth)
    }
    found.push({ scored: scoredAlong(chart, scenario.rules, beats), letGo })
  }
  return found
}

/** The position that a beat is in; while a reaction is met, where conceding leads. */
function spotOf(chart: Chart, { place }: Beat): Spot {
  if (place.kind === 'reaction') return present(lookUp(chart.reactions, place.id)).endsIn
  return place.kind === 'position' ? place.id : place.kind
}

/** A position with none of our holds on. */
function worthLetGo(chart: Chart, scenario: Scenario, spot: Spot): number | null {
  if (spot === 'finish') return null
  if (isEndId(spot)) return terminalWorth(scenario)[TERMINAL[spot]]
  const theirs = new Set((chart.holds ?? []).filter((hold) => holder(hold) === 'theirs').map(({ id }) => id))
  const positions = chart.positions.map((one) =>
    one.id === spot ? { ...one, holds: (one.holds ?? []).filter((id) => theirs.has(id)) } : one,
  )
  return startWorth({ ...chart, positions }, { ...scenario, start: spot })
}

/**
 * What a run scores under rules, counted as an exchange in which only its steps can happen and only its last place is
 * worth anything. There it stays until what must be held has been.
 */
export function scoredAlong(chart: Chart, rules: string | null, beats: readonly Beat[]): ExpectedScore | null {
  const ruleSets = chart.settings?.ruleSets ?? []
  const held = ruleSetOf(rules, ruleSets)?.heldFor
  const places = placesOf(chart, beats)
  const last = lookUp(chart.positions, places.at(-1)?.spot)
  if (held && last) places.push({ spot: last.id, seconds: held })
  const certain = { ...emptyChart('run', 'Run'), settings: { ruleSets } }
  const id = (i: number) => toPositionId(`p${i}`)
  places.forEach(({ spot, seconds, kind = 'advance' }, i) => {
    const record = lookUp(chart.positions, spot)
    const move: Omit<Move, 'to'> = {
      id: toMoveId(`m${i}`),
      name: 'On',
      kind,
      from: id(i - 1),
      seconds,
      tries: { lands: 1 },
    }
    if (record) certain.positions.push({ ...bare(record, id(i)), endWorth: i === places.length - 1 ? 1 : 0 })
    if (i > 0 && (record || spot === 'finish')) certain.moves.push({ ...move, to: record ? id(i) : 'finish' })
  })
  const seconds = places.reduce((sum, one) => sum + one.seconds, 0)
  const scored = expectedScoreIn(certain, scenarioOf(certain, { start: id(0), seconds, breakUp: null, rules }))
  return scored.ok ? scored.value : null
}

interface Arrival {
  spot: Spot
  /** Since the one before. */
  seconds: number
  /** What kind of move led here, where one landed. */
  kind?: Kind
}

/** The places that a run comes to, in order; staying in place is left out, because it scores nothing. */
function placesOf(chart: Chart, beats: readonly Beat[]): Arrival[] {
  const places: Arrival[] = []
  let since = 0
  for (const beat of beats) {
    const spot = spotOf(chart, beat)
    if (beat.place.kind === 'reaction' || spot === places.at(-1)?.spot) continue
    const { move, reaction, elsewhere, stalls } = beat.step ?? {}
    const landed = reaction || elsewhere || stalls ? undefined : lookUp(chart.moves, move)
    places.push({ spot, seconds: beat.seconds - since, ...(landed ? { kind: landed.kind } : {}) })
    since = beat.seconds
  }
  return places
}

const bare = ({ name, family, ahead, orientation }: Position, id: PositionId): Position => ({
  id,
  name,
  family,
  ahead,
  ...(orientation ? { orientation } : {}),
})
