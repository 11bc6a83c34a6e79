import type { Chart } from '../chart/chart'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { RunStep } from '../chart/run'
import type { Figures } from './figures'

/**
 * The best plan from a position as if every move landed, up to a finish or a position that it has been in. Where one
 * chooses by what is seen: what is best while that is seen which is seen most.
 */
export function bestRunFrom(chart: Chart, figures: Figures, start: PositionId): RunStep[] {
  const steps: RunStep[] = []
  const been = new Set<string>([start])
  let move = bestIn(chart, figures, start)
  while (move) {
    steps.push({ move: move.id })
    if (move.to === 'finish' || been.has(move.to)) break
    been.add(move.to)
    move = bestIn(chart, figures, move.to)
  }
  return steps
}

function bestIn(chart: Chart, figures: Figures, at: PositionId) {
  const { best, seen = [] } = figures.positions[at] ?? {}
  const [usual] = seen.toSorted((a, b) => b.share - a.share)
  return lookUp(chart.moves, best ?? usual?.best ?? undefined)
}
