import type { Chart } from '../../chart/chart'
import { setScenario } from '../../game/edits/scenario'
import { scenarioOf } from '../../game/scenario'
import { supposed, type Ifs } from '../whatIf'
import { answerPlace, answerRefAt } from '../../chart/edits/find'

/**
 * What was supposed becomes what the chart says: its tries, the clock and how sharp they are. `seen`: the chart of which
 * it was supposed, which may by now be another one; an answer that is gone from it throws `Gone`.
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
  const { tries, often } = ifs
  return {
    ...ifs,
    ...(tries?.target.of === 'answer'
      ? { tries: { ...tries, target: { of: 'answer', answer: now(tries.target.answer) } } }
      : {}),
    ...(often?.met.met.by === 'answer'
      ? { often: { ...often, met: { ...often.met, met: { ...often.met.met, answer: now(often.met.met.answer) } } } }
      : {}),
  }
}
