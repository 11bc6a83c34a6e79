import { readChart } from '../../../core/files/chartFile'
import { useCharts } from '../../../stores/charts'

/** Opens the demo plan: the one that is kept already, or else as it ships. */
export async function openDemo(): Promise<void> {
  const charts = useCharts()
  await charts.start()
  const { default: data } = await import('../../../../demo/tern-street.ataque.json')
  const demo = readChart(data)
  if (!demo.ok) throw new Error('the demo plan is broken')
  const entry = charts.entries.find(({ id }) => id === demo.value.id)
  if (entry && !entry.removedAt) return void (await charts.open(entry.id))
  if (entry) await charts.forget(entry.id)
  await charts.add(demo.value)
}
