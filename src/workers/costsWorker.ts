import { withChanged } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { costsOf } from '../core/insight/figures'
import { expectedScoreIn } from '../core/insight/points'
import type { FromCosts, ToCosts } from './protocol'

/** Works out what an exchange scores and what loose ends cost, one by one: each takes a solve of its own, so that they come after all else. */
export class CostsWorker {
  private newest = -1
  private chart: Chart | null = null

  constructor(
    private readonly send: (message: FromCosts) => void,
    /** Lets messages that have come in be heard before going on. */
    private readonly pause: () => Promise<void>,
  ) {}

  async receive(message: ToCosts): Promise<void> {
    if (message.kind === 'stop') return void (this.newest = -1)
    const { ticket, changed, scenario, costing } = message
    this.newest = ticket
    const chart = withChanged(this.chart, changed)
    this.chart = chart
    if (costing.scores) {
      await this.pause()
      if (this.newest !== ticket) return
      const scored = expectedScoreIn(chart, scenario)
      this.send({ kind: 'scored', ticket, scored: scored.ok ? scored.value : null })
    }
    let left = costing.ends.length
    const costOf = left ? costsOf(chart, scenario, costing.value) : null
    for (const { end, looseEnd } of costing.ends) {
      await this.pause()
      if (this.newest !== ticket) return
      this.send({ kind: 'cost', ticket, end, cost: costOf!(looseEnd), left: --left })
    }
  }
}
