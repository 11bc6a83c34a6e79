import { withChanged } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { checkReferences } from '../core/chart/references'
import { worthsOf } from '../core/insight/figures'
import type { FromTrials, ToTrials } from './protocol'

/** Solves a chart as it could be, one way after another. */
export class TrialsWorker {
  private chart: Chart | null = null

  constructor(private readonly send: (message: FromTrials) => void) {}

  receive({ ticket, changed, scenario, position, trials }: ToTrials): void {
    const base = (this.chart = withChanged(this.chart, changed))
    for (const trial of trials) {
      const chart = withChanged(base, trial.changed)
      const isBroken = checkReferences(chart).length > 0
      const worths = isBroken ? null : worthsOf(chart, { ...scenario, ...trial.instead }, position)
      this.send({ ticket, key: trial.key, worths: worths?.ok ? worths.value : null })
    }
  }
}
