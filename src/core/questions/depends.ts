import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { Scenario } from '../game/scenario'
import { VariantSolver } from '../insight/variantSolver'
import { occupancyOf } from '../solve/occupancy'
import { promiseOfMet, rankDrills } from './shortlist'
import { allMet, keyOfMet } from './met'
import { shifted, type TriesPart } from './shifted'
import { withTries, type DrillTarget } from './target'
import type { Job } from '../job'
import { solved } from './solved'

/** One figure of the tries, and how the start’s value changes with one try in ten less or more of it. */
export interface Dependence {
  target: DrillTarget
  /** What lands, or a reaction. */
  part: TriesPart
  less: number
  more: number
}

/** How many landings and how many reactions, the most promising first, are moved both ways and solved again. */
const LANDINGS = 7
const REACTIONS = 5

/**
 * The figures on which the start’s value depends most. Each is moved by one try in ten both ways; the largest change
 * comes first.
 */
export function* dependsOn(chart: Chart, scenario: Scenario): Job<Dependence[]> {
  const solution = solved(chart, scenario, { everySecond: true })
  if (!solution) return []
  const now = sure(solution.values[solution.game.start])
  const occupancy = occupancyOf(solution)
  const promise = promiseOfMet(solution, occupancy)
  const reactions = allMet(chart)
    .filter((met) => met.met.by !== 'unprompted' && promise.has(keyOfMet(met)))
    .sort((a, b) => Math.abs(present(promise.get(keyOfMet(b)))) - Math.abs(present(promise.get(keyOfMet(a)))))
    .slice(0, REACTIONS)
  const parts = [
    ...rankDrills(solution, occupancy)
      .slice(0, LANDINGS)
      .map((target) => ({ target, part: { of: 'lands' as const } })),
    ...reactions.flatMap(({ met, reaction }) => {
      const target: DrillTarget | null =
        met.by === 'move'
          ? { of: 'move', move: met.move }
          : met.by === 'answer'
            ? { of: 'answer', answer: met.answer }
            : null
      return target ? [{ target, part: { of: 'reaction' as const, reaction } }] : []
    }),
  ]
  const near = new VariantSolver(chart, solution.game)
  const found: Dependence[] = []
  for (const [i, { target, part }] of parts.entries()) {
    yield (i + 1) / (parts.length + 1)
    const by = (sign: number) => near.startWorth(withShifted(chart, target, part, sign * 0.1))
    const [less, more] = [by(-1), by(1)]
    if (less !== null && more !== null) found.push({ target, part, less: less - now, more: more - now })
  }
  const size = ({ less, more }: Dependence) => Math.max(Math.abs(less), Math.abs(more))
  return found.sort((a, b) => size(b) - size(a))
}

export const withShifted = (chart: Chart, target: DrillTarget, part: TriesPart, by: number): Chart =>
  withTries(chart, target, (tries) => shifted(tries, part, by))
