import { withChanged } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { checkReferences } from '../core/chart/references'
import type { Scenario } from '../core/game/scenario'
import { alongRuns } from '../core/questions/alongRuns'
import { beatenBy } from '../core/questions/beat'
import { dependsOn } from '../core/questions/depends'
import { giveUps } from '../core/questions/giveUp'
import { limitBehind } from '../core/questions/limit'
import { sampleRange } from '../core/questions/range'
import { whatIf } from '../core/questions/whatIf'
import { drillGains } from '../core/questions/gains'
import type { Job } from '../core/questions/job'
import type { FromPlan, PlanAnswers, PlanQuestion, ToPlan } from './planProtocol'

/** Progress that is less than this is not said: it would be drawn anew for nothing. */
const WORTH_SAYING = 0.02

/** Works out what is asked of a plan, a step at a time, until it is done or something newer is asked. */
export class PlanWorker {
  private newest = -1
  private chart: Chart | null = null

  constructor(
    private readonly send: (message: FromPlan) => void,
    /** Lets messages that have come in be heard before going on. */
    private readonly pause: () => Promise<void>,
  ) {}

  async receive(message: ToPlan): Promise<void> {
    if (message.kind === 'stop') return void (this.newest = -1)
    const { ticket, changed, scenario, question } = message
    this.newest = ticket
    const chart = withChanged(this.chart, changed)
    this.chart = chart
    if (checkReferences(chart).length) return this.send({ kind: 'answer', ticket, answer: null })
    const work = workOn(chart, scenario, question)
    let said = -Infinity
    for (;;) {
      await this.pause()
      if (this.newest !== ticket) return
      const { done, value } = work.next()
      if (done) return this.send({ kind: 'answer', ticket, answer: value })
      if (value < said + WORTH_SAYING) continue
      said = value
      this.send({ kind: 'progress', ticket, progress: value })
    }
  }
}

function workOn(chart: Chart, scenario: Scenario, question: PlanQuestion): Job<PlanAnswers[keyof PlanAnswers] | null> {
  if (question.of === 'gains') return drillGains(chart, scenario)
  if (question.of === 'depends') return dependsOn(chart, scenario)
  if (question.of === 'whatIf') return whatIf(chart, scenario, question.ifs)
  if (question.of === 'limit') return limitBehind(chart, scenario, question.limit)
  if (question.of === 'range') return sampleRange(chart, scenario, question.places, question.part)
  if (question.of === 'runs') return alongRuns(chart, scenario, question.runs)
  if (question.of === 'giveUps') return giveUps(chart, scenario)
  return beatenBy(chart, scenario)
}
