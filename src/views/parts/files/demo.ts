import { readChart } from '../../../core/files/chartFile'
import { useCharts } from '../../../stores/charts'

/** The plans that ship: an attacker's, and one for an evening of escapes. */
const DEMOS = {
  plan: () => import('../../../../demo/tern-street.ataque.json'),
  wayOut: () => import('../../../../demo/the-way-out.ataque.json'),
}

/** Opens a demo: the one that is kept already, or else as it ships. */
export async function openDemo(which: keyof typeof DEMOS = 'plan'): Promise<void> {
  const charts = useCharts()
  await charts.start()
  const { default: data } = await DEMOS[which]()
  const demo = readChart(data)
  if (!demo.ok) throw new Error('the demo plan is broken')
  const entry = charts.entries.find(({ id }) => id === demo.value.id)
  if (entry && !entry.removedAt) return void (await charts.open(entry.id))
  if (entry) await charts.forget(entry.id)
  await charts.add(demo.value)
}
