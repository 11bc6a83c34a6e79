import { emptyChart, type Chart } from '../chart/chart'
import { holder } from '../chart/hold'
import type { MoveId, PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import type { Run } from '../chart/run'
import { terminalWorth } from '../game/game'
import { scenarioOf, type Scenario } from '../game/scenario'
import { scoredIn, type Scored } from '../insight/scored'
import { pathOf, type OnPath, type Spot } from './path'
import { startWorth, type Work } from './work'

export type RunPath = Pick<Run, 'start' | 'steps'>

/** What is found of a run by solving beside it. */
export interface AlongRun {
  /** What it scores when it goes as it is told; null where it cannot be counted. */
  scored: Scored | null
  /** What it is worth to let everything go after each step, the start first; null once it is over. */
  letGo: (number | null)[]
}

/** What each run scores, and what letting go of it is worth step by step. */
export function* alongRuns(chart: Chart, scenario: Scenario, runs: readonly RunPath[]): Work<AlongRun[]> {
  const worths = new Map<Spot, number | null>()
  const found: AlongRun[] = []
  const steps = runs.reduce((sum, run) => sum + run.steps.length + 1, 0)
  let done = 0
  for (const run of runs) {
    const path = pathOf(chart, run)
    const letGo: (number | null)[] = []
    for (const { spot } of path) {
      yield done++ / steps
      if (!worths.has(spot)) worths.set(spot, worthLetGo(chart, scenario, spot))
      letGo.push(worths.get(spot)!)
    }
    found.push({ scored: scoredAlong(chart, path), letGo })
  }
  return found
}

/** A position with none of our holds on. */
function worthLetGo(chart: Chart, scenario: Scenario, spot: Spot): number | null {
  if (spot === 'finish') return null
  if (spot === 'caught') return terminalWorth(scenario)[1]
  const theirs = new Set((chart.holds ?? []).filter((hold) => holder(hold) === 'theirs').map(({ id }) => id))
  const positions = chart.positions.map((one) => one.id === spot ? { ...one, holds: (one.holds ?? []).filter((id) => theirs.has(id)) } : one) // prettier-ignore
  return startWorth({ ...chart, positions }, { ...scenario, start: spot })
}

/** What a path scores: followed as an exchange in which nothing else can happen, and its last place is all that counts. */
export function scoredAlong(chart: Chart, path: readonly OnPath[]): Scored | null {
  const places = placesOf(path)
  const certain = emptyChart('run', 'Run')
  const id = (i: number) => `p${i}` as PositionId
  places.forEach(({ spot, seconds, kind = 'advance' }, i) => {
    const record = lookUp(chart.positions, spot)
    const move: Omit<Move, 'to'> = { id: `m${i}` as MoveId, name: 'On', kind, from: id(i - 1), seconds, tries: { lands: 1 } } // prettier-ignore
    if (record) certain.positions.push({ ...bare(record, id(i)), endWorth: i === places.length - 1 ? 1 : 0 })
    if (i > 0 && (record || spot === 'finish')) certain.moves.push({ ...move, to: record ? id(i) : 'finish' })
  })
  const seconds = places.reduce((sum, one) => sum + one.seconds, 0)
  const scored = scoredIn(certain, scenarioOf(certain, { start: id(0), seconds, breakUp: null }))
  return scored.ok ? scored.value : null
}

/** Each place that it comes to anew, with the seconds since the one before; to stay where one was scores nothing. */
function placesOf(path: readonly OnPath[]): OnPath[] {
  const places: OnPath[] = []
  let seconds = 0
  for (const one of path) {
    seconds += one.seconds
    if (one.isMet || one.spot === places.at(-1)?.spot) continue
    places.push({ ...one, seconds })
    seconds = 0
  }
  return places
}

const bare = ({ name, family, ahead, orientation }: Position, id: PositionId): Position =>
  ({ id, name, family, ahead, ...(orientation ? { orientation } : {}) }) as Position
