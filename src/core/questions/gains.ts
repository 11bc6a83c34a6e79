import { toMoveId, type HoldId, type PositionId } from '../chart/ids'
import { present, sure } from '../sure'
import type { Chart } from '../chart/chart'
import { NEW_ANSWER } from '../chart/guesses'
import { idFromName } from '../document/ids'
import type { Move } from '../chart/move'
import type { Scenario } from '../game/scenario'
import type { MetWhere } from '../insight/looseEnds'
import { VariantSolver } from '../insight/variantSolver'
import { nextHolds } from '../holds/oneMore'
import { occupancyOf } from '../solve/occupancy'
import type { Solution } from '../solve/solution'
import { stepped } from './shifted'
import { drillStep, withTries, type DrillTarget } from './target'
import { mostVisited, rankDrills, rankLooseEnds } from './shortlist'
import type { Job } from '../job'
import { solved } from './solved'

/** One change that would raise the start’s value, and by how much (`gain`, in worth). */
export type Gain = { gain: number } &
  /** `uses`: how often an exchange tries it. */
  (
    | { of: 'drill'; target: DrillTarget; uses: number }
    | { of: 'new answer'; end: MetWhere; visits: number }
    | { of: 'hold'; position: PositionId; hold: string }
  )

/** How many drills are solved: between these, fewer the larger the game is. Loose ends and holds get a part of that. */
const MIN_DRILLS = 5
const MAX_DRILLS = 24
const STATES_A_LIST = 9000

/** A chart as it would be, and what is found by solving it. */
interface DrillCandidate {
  chart: Chart
  found: (gain: number) => Gain
}

/**
 * The drills, new answers and holds that raise the start’s value most, best first. Candidates are shortlisted to first
 * order, then each is solved. Empty where the chart cannot be computed.
 */
export function* drillGains(chart: Chart, scenario: Scenario): Job<Gain[]> {
  const solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return []
  const now = sure(solution.values[solution.game.start])
  const trials = shortlisted(chart, solution)
  const near = new VariantSolver(chart, solution.game)
  const gains: Gain[] = []
  for (let i = 0; i < trials.length; i++) {
    yield (i + 1) / (trials.length + 1)
    const worth = near.startWorth(sure(trials[i]).chart)
    if (worth !== null) gains.push(sure(trials[i]).found(worth - now))
  }
  return gains.sort((a, b) => b.gain - a.gain)
}

function shortlisted(chart: Chart, solution: Solution): DrillCandidate[] {
  const occupancy = occupancyOf(solution)
  const some = Math.max(MIN_DRILLS, Math.min(MAX_DRILLS, Math.floor(STATES_A_LIST / solution.game.stateCount)))
  const drills = rankDrills(chart, solution, occupancy).slice(0, some)
  const ends = rankLooseEnds(solution, occupancy).slice(0, Math.ceil(some / 4))
  const places = mostVisited(solution, occupancy)
  const holds = places.flatMap((position) => nextHold(chart, position) ?? []).slice(0, Math.ceil(some / 8))
  return [
    ...drills.map(({ target, uses }): DrillCandidate => ({
      chart: withDrilled(chart, target),
      found: (gain) => ({ of: 'drill', target, uses, gain }),
    })),
    ...ends.map(({ end, visits }): DrillCandidate => ({
      chart: withNewAnswer(chart, end),
      found: (gain) => ({ of: 'new answer', end, visits, gain }),
    })),
    ...holds.map(({ position, hold }): DrillCandidate => ({
      chart: withHold(chart, position, hold),
      found: (gain) => ({ of: 'hold', position, hold, gain }),
    })),
  ]
}

/** The chart with a move or an answer drilled: its landing one step up in the log-odds. */
export const withDrilled = (chart: Chart, target: DrillTarget): Chart =>
  withTries(chart, target, (tries) => stepped(tries, { of: 'lands' }, stepOf(chart, target)))

function stepOf(chart: Chart, target: DrillTarget): number {
  const move = target.of === 'move' ? target.move : sure(chart.answers[target.answer]).move
  return drillStep(chart, present(chart.moves.find(({ id }) => id === move)).kind)
}

/** The chart with an answer to a loose end that lands half of the time and brings us back to where it was met. */
export function withNewAnswer(chart: Chart, { position, reaction }: MetWhere): Chart {
  const move: Move = {
    ...{
      id: toMoveId(idFromName('A new answer', new Set<string>(chart.moves.map(({ id }) => id)))),
      name: 'A new answer',
    },
    ...{ kind: 'hold' as const, seconds: 3, reply: true },
    ...{ from: position, to: position },
  }
  const answer = { reaction, move: move.id, tries: NEW_ANSWER }
  return { ...chart, moves: [...chart.moves, move], answers: [...chart.answers, answer] }
}

/** The hold that takes most from them in a position, if one takes anything. */
function nextHold(chart: Chart, position: PositionId): { position: PositionId; hold: HoldId } | undefined {
  const next = nextHolds(chart, position).find(({ takes }) => takes > 0)
  return next && { position, hold: next.hold }
}

/** The chart with one more hold, of a limb that is free, on in a position. */
export function withHold(chart: Chart, position: PositionId, hold: HoldId): Chart {
  const positions = chart.positions.map((one) =>
    one.id === position ? { ...one, holds: [...(one.holds ?? []), hold] } : one,
  )
  return { ...chart, positions }
}
