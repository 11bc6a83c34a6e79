import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { FromPlan, PlanAnswers, PlanQuestion, ToPlan } from './planProtocol'
import type { WorkerLike } from './workerLike'

type Answer = PlanAnswers[keyof PlanAnswers]

export interface PlanEvents {
  /** How far it is, 0 to 1; null once nothing is under way. */
  progress(share: number | null): void
  answer(answer: Answer | null): void
}

/** Asks a worker of its own about a plan; only the newest question counts. */
export class PlanClient {
  private worker: WorkerLike<ToPlan, FromPlan> | null = null
  private known: Chart | null = null
  private ticket = 0

  constructor(
    private readonly makeWorker: () => WorkerLike<ToPlan, FromPlan>,
    private readonly events: PlanEvents,
  ) {}

  ask(chart: Chart, scenario: Scenario, question: PlanQuestion): void {
    const changed = changedSince(this.known, chart)
    this.known = chart
    this.worker ??= this.begin()
    this.events.progress(0)
    this.worker.postMessage({ kind: 'ask', ticket: ++this.ticket, changed, scenario, question })
  }

  /** What is being worked out is no longer wanted. */
  stop(): void {
    this.ticket++
    this.worker?.postMessage({ kind: 'stop' })
    this.events.progress(null)
  }

  /** For good. */
  end(): void {
    this.ticket++
    this.worker?.terminate()
    this.worker = this.known = null
  }

  private begin(): WorkerLike<ToPlan, FromPlan> {
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => {
      if (data.ticket !== this.ticket) return
      if (data.kind === 'progress') return this.events.progress(data.progress)
      this.events.progress(null)
      this.events.answer(data.answer)
    }
    worker.onerror = () => {
      this.end()
      this.events.progress(null)
      this.events.answer(null)
    }
    return worker
  }
}
