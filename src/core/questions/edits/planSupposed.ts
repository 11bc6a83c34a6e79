import type { Chart } from '../../chart/chart'
import { setScenario } from '../../game/edits/scenario'
import { scenarioOf } from '../../game/scenario'
import type { MetWhere } from '../../insight/looseEnds'
import { supposed, type Ifs } from '../whatIf'
import { answerPlace, answerRefAt } from '../../chart/edits/find'

/**
 * Makes what was supposed part of the chart: tries, clock, sharpness. `seen`: the chart of which it was supposed;
 * answers are found again by what they answer, and one that is gone throws `Gone`.
 */
export function planSupposed(chart: Chart, ifs: Ifs, seen: Chart): void {
  const scenario = scenarioOf(chart)
  const { moves, answers, positions } = supposed(chart, scenario, inChart(chart, ifs, seen)).chart
  Object.assign(chart, { moves, answers, positions })
  const { seconds = scenario.seconds, sharpness = scenario.sharpness } = ifs
  if (ifs.seconds !== undefined || ifs.sharpness !== undefined) setScenario(chart, { seconds, sharpness })
}

/** The same with the places that answers have in the chart now. */
function inChart(chart: Chart, ifs: Ifs, seen: Chart): Ifs {
  const now = (answer: number) => answerPlace(chart, answerRefAt(seen, answer))
  const met = (one: MetWhere): MetWhere =>
    one.met.by === 'answer' ? { ...one, met: { ...one.met, answer: now(one.met.answer) } } : one
  const { tries = [], often = [] } = ifs
  return {
    ...ifs,
    tries: tries.map((one) =>
      one.target.of === 'answer' ? { ...one, target: { of: 'answer', answer: now(one.target.answer) } } : one,
    ),
    often: often.map((one) => ({ ...one, met: one.met.map(met) })),
  }
}
