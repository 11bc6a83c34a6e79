import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import type { PositionId } from '../core/chart/ids'
import type { Scenario } from '../core/game/scenario'
import type { Worths } from '../core/insight/figures'
import type { FromTrials, ToTrials } from './protocol'
import type { WorkerLike } from './workerLike'

/** A chart as it could be; with other parts of the scenario, where some are given. */
export interface Trial {
  key: string
  chart: Chart
  instead?: Partial<Scenario>
}

/** Asks a worker of its own what a chart would be worth if it were otherwise; a newer question ends the older one. */
export class TrialsClient {
  private worker: WorkerLike<ToTrials, FromTrials> | null = null
  private ticket = 0
  private left = 0

  constructor(
    private readonly makeWorker: () => WorkerLike<ToTrials, FromTrials>,
    private readonly heard: (key: string, worths: Worths | null) => void,
  ) {}

  ask(chart: Chart, scenario: Scenario, position: PositionId, trials: Trial[]): void {
    if (this.left) this.stop()
    this.left = trials.length
    if (!trials.length) return
    this.worker ??= this.begin()
    this.worker.postMessage({
      ...{ ticket: ++this.ticket, changed: chart, scenario, position },
      trials: trials.map(({ key, chart: other, instead }) => ({
        key,
        changed: changedSince(chart, other),
        ...(instead ? { instead } : {}),
      })),
    })
  }

  stop(): void {
    this.ticket++
    this.left = 0
    this.worker?.terminate()
    this.worker = null
  }

  private begin(): WorkerLike<ToTrials, FromTrials> {
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => {
      if (data.ticket !== this.ticket) return
      this.left--
      this.heard(data.key, data.worths)
    }
    worker.onerror = () => this.stop()
    return worker
  }
}
