import type { Chart } from '../core/chart/chart'
import { checkReferences } from '../core/chart/references'
import type { Scenario } from '../core/game/scenario'
import { explain } from '../core/insight/explain'
import { figuresOf, looseEndCost, type Figures, type Solved } from '../core/insight/figures'
import { failure, type Problem } from '../core/problem'
import type { Solution } from '../core/solve/solution'
import type { FromWorker, ToWorker } from './protocol'

/** Costs wait until nothing has changed for so long: who drags a slider should not wait for them. */
const QUIET_MS = 120

/** Solves charts in the background: first all figures, then, one by one, what the loose ends cost. */
export class SolverWorker {
  private newest = -1
  private solution: Solution | null = null

  constructor(
    private readonly send: (message: FromWorker) => void,
    /** Lets messages that have come in be heard before going on, and waits a while if told to. */
    private readonly pause: (ms: number) => Promise<void>,
  ) {}

  async receive(message: ToWorker): Promise<void> {
    const { ticket } = message
    if (message.kind === 'explain') {
      const explanation = this.solution && explain(this.solution, message.question)
      return this.send({ kind: 'explanation', ticket, explanation })
    }
    this.newest = ticket
    await this.solve(ticket, message.chart, message.scenario)
  }

  private async solve(ticket: number, chart: Chart, scenario: Scenario): Promise<void> {
    const from = performance.now()
    try {
      // Files are checked whole where they come in, and edits are typed: what they could break are references.
      const broken = checkReferences(chart)
      const solved = broken.length ? failure<Solved>(...broken) : figuresOf(chart, scenario)
      if (!solved.ok) return this.send({ kind: 'problems', ticket, problems: solved.problems })
      this.solution = solved.value.solution
      this.send({ kind: 'figures', ticket, figures: solved.value.figures, ms: performance.now() - from })
      await this.costs(ticket, chart, scenario, solved.value.figures)
    } catch (error) {
      this.send({ kind: 'problems', ticket, problems: [unexpected(error)] })
    }
  }

  /** The ends met most often first. Stops as soon as something newer is asked. */
  private async costs(ticket: number, chart: Chart, scenario: Scenario, { looseEnds, value }: Figures): Promise<void> {
    const order = looseEnds.map((_, i) => i).sort((a, b) => looseEnds[b].visits - looseEnds[a].visits)
    for (const [i, end] of order.entries()) {
      await this.pause(i === 0 ? QUIET_MS : 0)
      if (this.newest !== ticket) return
      const cost = looseEndCost(chart, scenario, looseEnds[end], value)
      this.send({ kind: 'cost', ticket, end, cost: cost.ok ? cost.value : null, left: order.length - 1 - i })
    }
  }
}

const unexpected = (error: unknown): Problem => ({
  code: 'unexpected',
  path: [],
  message: `the figures could not be computed: ${error instanceof Error ? error.message : String(error)}`,
})
