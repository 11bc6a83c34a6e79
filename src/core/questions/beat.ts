import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import type { ReactionId } from '../chart/ids'
import type { Move } from '../chart/move'
import { isOwn } from '../chart/tries'
import type { Scenario } from '../game/scenario'
import { unansweredOf } from '../insight/looseEnds'
import { VariantSolver } from '../insight/variantSolver'
import { occupancyOf } from '../solve/occupancy'
import type { Solution } from '../solve/solution'
import { withDrilled, withNewAnswer, type Gain } from './gains'
import { promiseOfMet } from './shortlist'
import type { MetWhere } from '../insight/looseEnds'
import { allMet, keyOfMet, timesPossible, withUsedMore, withUsedMoreEverywhere } from './met'
import type { Job } from '../job'
import { allPlaced, keyOfPlaced, placesPossible, promiseOfPlaced, withPlacedMore, type SeenWhere } from './placed'
import { solved, startWorth } from './solved'
import type { DrillTarget } from './target'

/** One thing that they may do more often: a reaction where it is met, or where they put what we look for. */
export type Way = MetWhere | SeenWhere

/** One of them twice as often, and what that costs the start’s value once we play our best against it. */
export type Blow = Way & {
  cost: number
  /** The start's value afterwards. */
  worth: number
  /** How much more often: twice, or as often as is possible. */
  times: number
}

/** One reaction that they use twice as often whatever we do, and what that alone costs. */
export interface Shift {
  reaction: ReactionId
  cost: number
}

/** How they would beat us, and what would cost them most. */
export interface Beaten {
  worth: number
  blows: Blow[]
  /** The reaction that costs most where they do it wherever they can; null where none costs anything. */
  shift: Shift | null
  /** The repair that brings back most while they still do all of it. */
  repair: Gain | null
}

/** They use it twice as often. */
const TIMES = 2
const BLOWS = 3
/** So many promise most and are solved again for each blow. */
const TRIED = 6
/** A blow that takes less is none. */
const LEAST = 0.0005

/**
 * The three things of theirs that cost us most if done twice as often, each on top of the ones before, with our plan
 * solved anew each time; then the one repair that brings back most. Null where the chart cannot be computed.
 */
export function* beatenBy(chart: Chart, scenario: Scenario): Job<Beaten | null> {
  let solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return null
  const worth = sure(solution.values[solution.game.start])
  const blows: Blow[] = []
  let now = chart
  let done = 0
  const steps = BLOWS * (TRIED + 1) + 2 * BLOWS + 1
  for (let blow = 0; blow < BLOWS && solution; blow++) {
    const near = new VariantSolver(now, solution.game)
    let worst: { way: Way; chart: Chart; worth: number } | null = null
    for (const way of shortlisted(now, solution, blows)) {
      const other = withMore(now, way, TIMES)
      const left = near.startWorth(other)
      yield Math.min(0.99, ++done / steps)
      if (left !== null && (!worst || left < worst.worth)) worst = { way, chart: other, worth: left }
    }
    const before = blows.at(-1)?.worth ?? worth
    if (!worst || before - worst.worth < LEAST) break
    const { way } = worst
    const times = isPlaced(way) ? placesPossible(now, way, TIMES) : timesPossible(now, way, TIMES)
    blows.push({ ...way, cost: before - worst.worth, worth: worst.worth, times })
    now = worst.chart
    solution = solved(now, scenario, { everySecond: true })
    yield Math.min(0.99, ++done / steps)
  }
  const shift = yield* worstShift(chart, scenario, worth, done, steps)
  return { worth, blows, shift, repair: yield* bestRepair(now, scenario, blows, done, steps) }
}

/** Of the reactions that promise most in all, the one that costs most when it is used more wherever it is met. */
function* worstShift(chart: Chart, scenario: Scenario, worth: number, done: number, steps: number): Job<Shift | null> {
  const solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return null
  const promise = promiseOfMet(solution, occupancyOf(solution))
  const inAll = new Map<ReactionId, number>()
  for (const met of allMet(chart)) {
    const own = Math.max(0, promise.get(keyOfMet(met)) ?? 0)
    inAll.set(met.reaction, (inAll.get(met.reaction) ?? 0) + own)
  }
  const promising = [...inAll].sort((a, b) => b[1] - a[1]).slice(0, TRIED)
  let worst: Shift | null = null
  for (const [reaction] of promising) {
    yield Math.min(0.99, done / steps)
    const left = startWorth(withUsedMoreEverywhere(chart, reaction, TIMES), scenario)
    const cost = left === null ? 0 : worth - left
    if (cost > Math.max(LEAST, worst?.cost ?? 0)) worst = { reaction, cost }
  }
  return worst
}

function shortlisted(chart: Chart, solution: Solution, blows: readonly Way[]): Way[] {
  const used = new Set(blows.map(keyOfWay))
  const occupancy = occupancyOf(solution)
  const promises = new Map([...promiseOfMet(solution, occupancy), ...promiseOfPlaced(solution, occupancy)])
  const promise = (way: Way) => promises.get(keyOfWay(way)) ?? 0
  const ways: Way[] = [...allMet(chart), ...allPlaced(chart)]
  return ways
    .filter((way) => !used.has(keyOfWay(way)) && promise(way) > 0)
    .sort((a, b) => promise(b) - promise(a))
    .slice(0, TRIED)
}

export const isPlaced = (way: Way): way is SeenWhere => 'cue' in way
export const keyOfWay = (way: Way): string => (isPlaced(way) ? keyOfPlaced(way) : keyOfMet(way))

/** The chart if they do one thing `times` as often. */
export const withMore = (chart: Chart, way: Way, times: number): Chart =>
  isPlaced(way) ? withPlacedMore(chart, way, times) : withUsedMore(chart, way, times)

/**
 * The best repair: a drill step for an answer that is there or for what is done when we see it, or a new answer where
 * there is none, measured while they do all of it.
 */
function* bestRepair(
  chart: Chart,
  scenario: Scenario,
  blows: readonly Blow[],
  from: number,
  steps: number,
): Job<Gain | null> {
  const worth = blows.at(-1)?.worth
  const solution = worth === undefined ? null : solved(chart, scenario)
  if (!solution || worth === undefined) return null
  const open = new Set(unansweredOf(solution.game.meaning.index).map(keyOfMet))
  const repairs: [Chart, Gain][] = blows.flatMap((blow): [Chart, Gain][] => {
    if (isPlaced(blow)) {
      return actionsAt(chart, blow).map(({ id }) => drilled(chart, { of: 'move', move: id }))
    }
    const { met, position, reaction } = blow
    const end = { met, position, reaction }
    if (open.has(keyOfMet(blow))) return [[withNewAnswer(chart, end), { of: 'new answer', end, visits: 0, gain: 0 }]]
    return chart.answers.flatMap((answer, i): [Chart, Gain][] => {
      if (answer.reaction !== reaction) return []
      const target = isOwn(answer) ? { of: 'answer' as const, answer: i } : { of: 'move' as const, move: answer.move }
      return [drilled(chart, target)]
    })
  })
  const near = new VariantSolver(chart, solution.game)
  let best: Gain | null = null
  for (const [i, [other, gain]] of repairs.entries()) {
    yield Math.min(0.99, (from + i) / steps)
    const repaired = near.startWorth(other)
    if (repaired !== null && repaired - worth > (best?.gain ?? 0)) best = { ...gain, gain: repaired - worth }
  }
  return best
}

const drilled = (chart: Chart, target: DrillTarget): [Chart, Gain] => [
  withDrilled(chart, target),
  { of: 'drill', target, uses: 0, gain: 0 },
]

/** The moves that wait for what they place, or where none does, what may be tried whatever is seen. */
function actionsAt(chart: Chart, { position, cue }: SeenWhere): Move[] {
  const here = chart.moves.filter(({ from, reply }) => from === position && !reply)
  const waiting = here.filter(({ when = [] }) => when.some((one) => one === cue))
  return waiting.length ? waiting : here.filter(({ when = [] }) => !when.length)
}
