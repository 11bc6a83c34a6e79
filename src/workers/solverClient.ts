import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { Explanation, Question } from '../core/insight/explain'
import type { Figures } from '../core/insight/figures'
import type { Problem } from '../core/problem'
import type { FromWorker, ToWorker } from './protocol'

/** The part of a Worker that is used; tests stand in for it. */
export interface WorkerLike {
  postMessage(message: ToWorker): void
  terminate(): void
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
}

export interface SolverEvents {
  figures(figures: Figures, ms: number): void
  cost(end: number, cost: number | null, left: number): void
  problems(problems: Problem[]): void
  /** True from a question until its figures are there. */
  busy(isBusy: boolean): void
}

/** How long a worker may go on with something that nobody wants any more. */
const PATIENCE_MS = 1200

/**
 * Asks the worker; only the newest question counts. While it is at work, newer questions wait and only the last is
 * asked; a worker that takes too long over an old one is ended and a new one begun.
 */
export class SolverClient {
  private worker: WorkerLike | null = null
  private ticket = 0
  private asked: number | null = null
  private askedAt = 0
  /** The question whose figures, or whose costs, are still coming. */
  private solving = 0
  private waiting: { chart: Chart; scenario: Scenario } | null = null
  private readonly questions = new Map<number, (explanation: Explanation | null) => void>()

  constructor(
    private readonly makeWorker: () => WorkerLike,
    private readonly events: SolverEvents,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /** Asks for all figures of a chart in a scenario. */
  solve(chart: Chart, scenario: Scenario): void {
    this.waiting = { chart, scenario }
    if (this.asked !== null && this.now() - this.askedAt > PATIENCE_MS) this.restart()
    if (this.asked === null) this.ask()
    this.events.busy(true)
  }

  /** What a figure of the newest solved chart is made of; null where it has none or the worker died. */
  explain(question: Question): Promise<Explanation | null> {
    const ticket = ++this.ticket
    return new Promise((answer) => {
      this.questions.set(ticket, answer)
      this.running().postMessage({ kind: 'explain', ticket, question })
    })
  }

  /** Gives up what is being computed. */
  cancel(): void {
    this.waiting = null
    if (this.asked === null) return
    this.restart()
    this.events.busy(false)
  }

  private ask(): void {
    if (!this.waiting) return
    const { chart, scenario } = this.waiting
    this.waiting = null
    this.asked = ++this.ticket
    this.solving = this.asked
    this.askedAt = this.now()
    this.running().postMessage({ kind: 'solve', ticket: this.asked, chart, scenario })
  }

  private running(): WorkerLike {
    if (this.worker) return this.worker
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => this.receive(data)
    worker.onerror = (event) => this.died(event.message || 'the background worker stopped')
    this.worker = worker
    return worker
  }

  private receive(message: FromWorker): void {
    if (message.kind === 'explanation') {
      this.questions.get(message.ticket)?.(message.explanation)
      this.questions.delete(message.ticket)
      return
    }
    if (message.ticket !== this.solving) return
    if (message.kind === 'cost') {
      if (!this.waiting) this.events.cost(message.end, message.cost, message.left)
      return
    }
    this.asked = null
    if (message.kind === 'figures') this.events.figures(message.figures, message.ms)
    else if (!this.waiting) this.events.problems(message.problems)
    if (this.waiting) this.ask()
    else this.events.busy(false)
  }

  private died(message: string): void {
    this.restart()
    this.events.problems([{ code: 'worker-died', path: [], message: `the figures could not be computed: ${message}` }])
    this.events.busy(false)
  }

  private restart(): void {
    this.worker?.terminate()
    this.worker = null
    this.asked = null
    for (const answer of this.questions.values()) answer(null)
    this.questions.clear()
  }
}
