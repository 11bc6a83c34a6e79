import { touchesPlan, type Changed, withChanged } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { checkReferences } from '../core/chart/references'
import type { Scenario } from '../core/game/scenario'
import { worthsAlong } from '../core/insight/along'
import { explain } from '../core/insight/explain'
import { figuresOf } from '../core/insight/figures'
import type { Problem } from '../core/problem'
import { scriptFrom } from '../core/questions/script'
import type { Solution } from '../core/solve/solution'
import type { FromSolver, ToSolver } from './protocol'

/** Solves charts in the background, and takes figures of the newest one apart. */
export class SolverWorker {
  private chart: Chart | null = null
  private solution: Solution | null = null

  constructor(private readonly send: (message: FromSolver) => void) {}

  receive(message: ToSolver): void {
    const { ticket } = message
    if (message.kind === 'explain') {
      const explanation = this.solution && explain(this.solution, message.question)
      return this.send({ kind: 'explanation', ticket, explanation })
    }
    if (message.kind === 'along') {
      return this.send({ kind: 'worths', ticket, worths: this.solution && worthsAlong(this.solution, message.run) })
    }
    if (message.kind === 'script') {
      const script = this.solution && scriptFrom(this.solution, message.from, message.length)
      return this.send({ kind: 'script', ticket, script })
    }
    try {
      this.solve(ticket, message.changed, message.scenario)
    } catch (error) {
      this.send({ kind: 'problems', ticket, problems: [unexpected(error)] })
    }
  }

  private solve(ticket: number, changed: Changed, scenario: Scenario): void {
    const from = performance.now()
    const known = touchesPlan(changed) ? undefined : this.solution?.game
    const chart = withChanged(this.chart, changed)
    this.chart = chart
    this.solution = null
    // Files are checked whole where they come in, and edits are typed: what they could break are references.
    const broken = known ? [] : checkReferences(chart)
    if (broken.length) return this.send({ kind: 'problems', ticket, problems: broken })
    const solved = figuresOf(chart, scenario, known)
    if (!solved.ok) return this.send({ kind: 'problems', ticket, problems: solved.problems })
    this.solution = solved.value.solution
    this.send({ kind: 'figures', ticket, figures: solved.value.figures, ms: performance.now() - from })
  }
}

const unexpected = (error: unknown): Problem => ({
  code: 'unexpected',
  path: [],
  message: `the figures could not be computed: ${error instanceof Error ? error.message : String(error)}`,
})
