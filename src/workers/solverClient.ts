import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { Explanation, Question } from '../core/insight/explain'
import type { Figures } from '../core/insight/figures'
import type { PositionId } from '../core/chart/ids'
import type { Problem } from '../core/problem'
import type { Script, ScriptLength } from '../core/questions/script'
import type { FromSolver, RunPath, ToSolver } from './protocol'
import type { WorkerLike } from './workerLike'

export interface SolverEvents {
  /** Of this chart in this scenario. */
  figures(figures: Figures, of: { chart: Chart; scenario: Scenario }): void
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
  private worker: WorkerLike<ToSolver, FromSolver> | null = null
  /** The chart as the worker has it. */
  private known: Chart | null = null
  private ticket = 0
  private asked: { ticket: number; at: number; chart: Chart; scenario: Scenario } | null = null
  private waiting: { chart: Chart; scenario: Scenario } | null = null
  private readonly questions = new Map<number, (answer: FromSolver | null) => void>()

  constructor(
    private readonly makeWorker: () => WorkerLike<ToSolver, FromSolver>,
    private readonly events: SolverEvents,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /** Asks for all figures of a chart in a scenario. */
  solve(chart: Chart, scenario: Scenario): void {
    this.waiting = { chart, scenario }
    if (this.asked && this.now() - this.asked.at > PATIENCE_MS) this.restart()
    if (!this.asked) this.ask()
    this.events.busy(true)
  }

  /** What a figure of the newest solved chart is made of; null where it has none or the worker died. */
  explain(question: Question): Promise<Explanation | null> {
    const heard = this.query((ticket) => ({ kind: 'explain', ticket, question }))
    return heard.then((answer) => (answer?.kind === 'explanation' ? answer.explanation : null))
  }

  /** What it is worth, in the newest solved chart, to have come to each step of a run; null where that is not known. */
  along({ start, steps }: RunPath): Promise<(number | null)[] | null> {
    const run = { start, steps: steps.map((step) => ({ ...step })) }
    const heard = this.query((ticket) => ({ kind: 'along', ticket, run }))
    return heard.then((answer) => (answer?.kind === 'worths' ? answer.worths : null))
  }

  /** The best plan from a position as far as it matters, of the newest solved chart; null where it has none. */
  script(from: PositionId, length: ScriptLength): Promise<Script | null> {
    const heard = this.query((ticket) => ({ kind: 'script', ticket, from, length }))
    return heard.then((answer) => (answer?.kind === 'script' ? answer.script : null))
  }

  private query(message: (ticket: number) => ToSolver): Promise<FromSolver | null> {
    const ticket = ++this.ticket
    return new Promise((answer) => {
      this.questions.set(ticket, answer)
      this.running().postMessage(message(ticket))
    })
  }

  /** Gives up what is being computed. */
  cancel(): void {
    this.waiting = null
    if (!this.asked) return
    this.restart()
    this.events.busy(false)
  }

  private ask(): void {
    if (!this.waiting) return
    const { chart, scenario } = this.waiting
    this.waiting = null
    const ticket = ++this.ticket
    this.asked = { ticket, at: this.now(), chart, scenario }
    const worker = this.running()
    const changed = changedSince(this.known, chart)
    this.known = chart
    worker.postMessage({ kind: 'solve', ticket, changed, scenario })
  }

  private running(): WorkerLike<ToSolver, FromSolver> {
    if (this.worker) return this.worker
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => this.receive(data)
    worker.onerror = (event) => this.died(event.message || 'the background worker stopped')
    this.worker = worker
    return worker
  }

  private receive(message: FromSolver): void {
    if (message.kind === 'explanation' || message.kind === 'worths' || message.kind === 'script') {
      this.questions.get(message.ticket)?.(message)
      this.questions.delete(message.ticket)
      return
    }
    const { asked } = this
    if (message.ticket !== asked?.ticket) return
    this.asked = null
    if (message.kind === 'figures') this.events.figures(message.figures, asked)
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
    this.worker = this.known = null
    this.asked = null
    for (const answer of this.questions.values()) answer(null)
    this.questions.clear()
  }
}
