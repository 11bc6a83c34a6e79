import type { Chart } from '../core/chart/chart'
import type { Comings } from '../core/climb/comings'
import type { RunPath } from '../core/chart/run'
import type { PositionId } from '../core/chart/ids'
import type { Scenario } from '../core/game/scenario'
import type { Explanation, Question as FigureQuestion } from '../core/insight/explain'
import type { Figures } from '../core/insight/figures'
import type { Problem } from '../core/problem'
import type { Script, ScriptLength } from '../core/questions/script'
import { WorkerClient, type ClientTimer } from './client'
import type { Answer, Question } from './jobs'
import type { WorkerLike } from './workerLike'

export interface SolverEvents {
  /** Of this chart in this scenario. */
  figures: (figures: Figures, of: { chart: Chart; scenario: Scenario }) => void
  problems: (problems: Problem[]) => void
  /** True from a question until its figures are there. */
  busy: (isBusy: boolean) => void
}

/** How long a solve may take before a newer one ends it, in milliseconds. */
const PATIENCE_MS = 1200

/**
 * Asks a worker of its own for the figures of charts. While it is at work, newer charts wait and only the last of them
 * is asked: so whoever drags a slider sees figures on the way. A solve that takes too long is ended with its worker.
 */
export class Solver {
  private readonly client: WorkerClient
  private asked: { at: number } | null = null
  private waiting: { chart: Chart; scenario: Scenario } | null = null

  constructor(
    makeWorker: () => WorkerLike,
    private readonly events: SolverEvents,
    private readonly now: () => number = () => performance.now(),
    timer?: ClientTimer,
  ) {
    this.client = new WorkerClient(makeWorker, timer)
  }

  /** Asks for all figures of a chart in a scenario. */
  solve(chart: Chart, scenario: Scenario): void {
    this.waiting = { chart, scenario }
    if (this.asked && this.now() - this.asked.at > PATIENCE_MS) this.giveUp()
    if (!this.asked) void this.askWaiting()
    this.events.busy(true)
  }

  /** Gives up what is being computed, and what waits. */
  cancel(): void {
    this.waiting = null
    if (!this.asked) return
    this.giveUp()
    this.events.busy(false)
  }

  /** What a figure of the newest solved chart is made of; null where it has none or the worker died. */
  explain = (question: FigureQuestion): Promise<Explanation | null> => this.query({ of: 'explanation', question })

  /** What it is worth, in the newest solved chart, to have come to each step of a run; null where that is not known. */
  along({ start, steps }: RunPath): Promise<(number | null)[] | null> {
    const run = { start, steps: steps.map((step) => ({ ...step })) }
    return this.query({ of: 'along', run })
  }

  /** Where the plan of the newest solved chart goes; null where it has none. */
  comings = (): Promise<Comings | null> => this.query({ of: 'comings' })

  /** The best plan from a position as far as it matters, of the newest solved chart; null where it has none. */
  script = (from: PositionId, length: ScriptLength): Promise<Script | null> =>
    this.query({ of: 'script', from, length })

  private async query<Q extends Question>(question: Q): Promise<Answer<Q> | null> {
    const answer = await this.client.ask(question).answer
    return answer?.ok ? answer.value : null
  }

  private async askWaiting(): Promise<void> {
    for (let next = this.takeWaiting(); next; next = this.takeWaiting()) {
      const { chart, scenario } = next
      const asked = { at: this.now() }
      this.asked = asked
      const answer = await this.client.ask({ of: 'figures', scenario }, chart).answer
      if (this.asked !== asked) return
      this.asked = null
      if (answer?.ok) this.events.figures(answer.value.figures, { chart, scenario })
      else if (answer && !this.isAskedAgain()) this.events.problems(answer.problems)
    }
    this.events.busy(false)
  }

  private takeWaiting() {
    const next = this.waiting
    this.waiting = null
    return next
  }

  private isAskedAgain(): boolean {
    return this.waiting !== null
  }

  private giveUp(): void {
    this.asked = null
    this.client.end()
  }
}
