import { withChanged } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { looseEndCost } from '../core/insight/figures'
import type { FromCosts, ToCosts } from './protocol'

/** Works out what loose ends cost, one by one: each takes a solve of its own, so that they come after all else. */
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
    let left = costing.ends.length
    for (const { end, looseEnd } of costing.ends) {
      await this.pause()
      if (this.newest !== ticket) return
      const cost = looseEndCost(chart, scenario, looseEnd, costing.value)
      this.send({ ticket, end, cost: cost.ok ? cost.value : null, left: --left })
    }
  }
}
