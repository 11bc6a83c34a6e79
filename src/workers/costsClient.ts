import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { ruleSetOf, scores } from '../core/chart/rules/ruleSets'
import type { Scenario } from '../core/game/scenario'
import type { Figures } from '../core/insight/figures'
import type { FromCosts, ToCosts } from './protocol'
import type { WorkerLike } from './workerLike'

/** Costs wait until nothing has changed for so long: who drags a slider should not wait for them. */
const QUIET_MS = 120

/**
 * Asks a worker of its own what the loose ends cost, those met most often first, so that neither a change nor a
 * question about a figure ever waits for one.
 */
export class CostsClient {
  private worker: WorkerLike<ToCosts, FromCosts> | null = null
  private known: Chart | null = null
  private ticket = 0
  private cancelWait: (() => void) | null = null

  constructor(
    private readonly makeWorker: () => WorkerLike<ToCosts, FromCosts>,
    private readonly heard: (message: FromCosts) => void,
    private readonly later: (run: () => void, ms: number) => () => void = waiting,
  ) {}

  ask(chart: Chart, scenario: Scenario, figures: Figures): void {
    this.stop()
    const rules = ruleSetOf(scenario.rules, chart.settings?.ruleSets)
    const isScored = Boolean(rules && scores(rules))
    if (!figures.looseEnds.length && !isScored) return
    this.cancelWait = this.later(() => this.post(chart, scenario, figures, isScored), QUIET_MS)
  }

  /** What is being worked out is no longer wanted. */
  stop(): void {
    this.cancelWait?.()
    this.cancelWait = null
    this.ticket++
    this.worker?.postMessage({ kind: 'stop' })
  }

  private post(chart: Chart, scenario: Scenario, { looseEnds, value }: Figures, scores: boolean): void {
    const ends = looseEnds
      .map((looseEnd, end) => ({ end, looseEnd }))
      .sort((a, b) => b.looseEnd.visits - a.looseEnd.visits)
    const changed = changedSince(this.known, chart)
    this.known = chart
    this.worker ??= this.begin()
    this.worker.postMessage({ kind: 'costs', ticket: this.ticket, changed, scenario, costing: { ends, value, scores } })
  }

  private begin(): WorkerLike<ToCosts, FromCosts> {
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => {
      if (data.ticket === this.ticket) this.heard(data)
    }
    worker.onerror = () => {
      worker.terminate()
      this.worker = this.known = null
    }
    return worker
  }
}

function waiting(run: () => void, ms: number): () => void {
  const timer = setTimeout(run, ms)
  return () => clearTimeout(timer)
}
