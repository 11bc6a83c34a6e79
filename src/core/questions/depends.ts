import type { Chart } from '../chart/chart'
import { totalOf, withRounds, type Tries } from '../chart/tries'
import type { Scenario } from '../game/scenario'
import { occupancyOf } from '../solve/occupancy'
import { promiseOfMet, rankDrills } from './leaders'
import { allMet, keyOfMet } from './met'
import type { DrillTarget } from './target'
import { solved, startWorth, type Work } from './work'

/** One figure of the tries, and what the start's value would change by with one try in ten less or more of it. */
export interface Dependence {
  target: DrillTarget
  /** What lands, or a reaction. */
  part: { of: 'lands' } | { of: 'reaction'; reaction: string }
  less: number
  more: number
}

/** So many of each kind are moved both ways and solved again. */
const LANDINGS = 7
const REACTIONS = 5

/** What the start's value depends on most: each figure moved by one try in ten, both ways; the largest change first. */
export function* dependsOn(chart: Chart, scenario: Scenario): Work<Dependence[]> {
  const solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return []
  const now = solution.values[solution.game.start]
  const occupancy = occupancyOf(solution)
  const promise = promiseOfMet(solution, occupancy)
  const reactions = allMet(chart)
    .filter((met) => met.met.by !== 'unprompted' && promise.has(keyOfMet(met)))
    .sort((a, b) => Math.abs(promise.get(keyOfMet(b))!) - Math.abs(promise.get(keyOfMet(a))!))
    .slice(0, REACTIONS)
  const parts = [
    ...rankDrills(solution, occupancy).slice(0, LANDINGS).map((target) => ({ target, part: { of: 'lands' as const } })), // prettier-ignore
    ...reactions.flatMap(({ met, reaction }) => {
      const target: DrillTarget | null = met.by === 'move' ? { of: 'move', move: met.move } : met.by === 'answer' ? { of: 'answer', answer: met.answer } : null // prettier-ignore
      return target ? [{ target, part: { of: 'reaction' as const, reaction: reaction as string } }] : []
    }),
  ]
  const found: Dependence[] = []
  for (const [i, { target, part }] of parts.entries()) {
    yield (i + 1) / (parts.length + 1)
    const by = (sign: number) => startWorth(withShifted(chart, target, part, sign * 0.1), scenario)
    const [less, more] = [by(-1), by(1)]
    if (less !== null && more !== null) found.push({ target, part, less: less - now, more: more - now })
  }
  const size = ({ less, more }: Dependence) => Math.max(Math.abs(less), Math.abs(more))
  return found.sort((a, b) => size(b) - size(a))
}

/** The tries with a share of all of them moved into one part, from the others in proportion; out of it where it is negative. */
export function shifted(guess: Tries, part: Dependence['part'], by: number): Tries {
  const tries = withRounds(guess)
  const { lands = 0, stalls = 0, elsewhere, reactions } = tries
  const total = totalOf(tries)
  const is = (id: string) => part.of === 'reaction' && part.reaction === id
  const now = part.of === 'lands' ? lands : (reactions?.[part.reaction] ?? 0)
  const others = total - now
  const moved = Math.max(-now, Math.min(by * total, others))
  const keep = others > 0 ? 1 - moved / others : 1
  const scale = (map: Record<string, number>) => Object.fromEntries(Object.entries(map).map(([id, n]) => [id, is(id) ? n + moved : n * keep])) // prettier-ignore
  return {
    ...tries,
    lands: part.of === 'lands' ? lands + moved : lands * keep,
    stalls: stalls * keep + (others > 0 ? 0 : -moved),
    ...(elsewhere ? { elsewhere: scale(elsewhere) } : {}),
    ...(reactions ? { reactions: scale(reactions) } : {}),
  }
}

export function withShifted(chart: Chart, target: DrillTarget, part: Dependence['part'], by: number): Chart {
  if (target.of === 'move') {
    const moves = chart.moves.map((move) => (move.id === target.move ? { ...move, tries: shifted(move.tries, part, by) } : move)) // prettier-ignore
    return { ...chart, moves }
  }
  const answers = chart.answers.map((one, i) => (i === target.answer && one.tries ? { ...one, tries: shifted(one.tries, part, by) } : one)) // prettier-ignore
  return { ...chart, answers }
}
