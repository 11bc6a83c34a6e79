import { scenarioOf } from '../src/core/game/scenario'
import { figuresOf } from '../src/core/insight/figures'
import { beatenBy } from '../src/core/questions/beat'
import { dependsOn } from '../src/core/questions/depends'
import { drillGains } from '../src/core/questions/gains'
import { sampleRange } from '../src/core/questions/range'
import { sayScript } from '../src/core/say/script'
import { scriptOf } from '../src/core/questions/script'
import { whatIf } from '../src/core/questions/whatIf'
import { toEnd } from '../src/core/job'
import { startWorth } from '../src/core/questions/solved'
import { taken } from '../tests/reference/taken'
import { generateChart } from './generate'
import { bestInTurn, row, type Row } from './measure'

/** What is asked of a chart of 300 positions, as ratios to one plain solve of its start, and in milliseconds. */
export function benchQuestions(): Row[] {
  const chart = generateChart({ positions: 300, moves: 1200, reactions: 500, seed: 7 })
  const scenario = scenarioOf(chart)
  const { solution } = taken(figuresOf(chart, scenario))
  const asked: [string, () => void][] = [
    ['script', () => void sayScript(chart, scriptOf(solution, { share: 0.9, steps: 60 })!)],
    ['drill list', () => toEnd(drillGains(chart, scenario))],
    ['what if', () => toEnd(whatIf(chart, scenario, { sharpness: 0.5 }))],
    ['how they would beat us', () => toEnd(beatenBy(chart, scenario))],
    ['what the start depends on', () => toEnd(dependsOn(chart, scenario))],
    ['range, one of two workers', () => toEnd(sampleRange(chart, scenario, [], { from: 0, every: 2 }))],
  ]
  startWorth(chart, scenario)
  const [plain, ...times] = bestInTurn(3, () => startWorth(chart, scenario), ...asked.map(([, run]) => run))
  return asked.flatMap(([name], i) => {
    const most = i < 3 ? 1000 : name.startsWith('range') ? 10_000 : undefined
    return [
      row(`questions, 300 positions: ${name}`, 'times one plain solve', times[i] / plain),
      row(`questions, 300 positions: ${name}`, 'ms', times[i], most ? { most } : undefined),
    ]
  })
}
