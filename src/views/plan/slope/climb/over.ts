import { computed, ref, shallowRef, watch } from 'vue'
import type { Chart } from '../../../../core/chart/chart'
import { scenarioOfKept } from '../../../../core/game/keptScenarios'
import { scenarioOf, type Scenario } from '../../../../core/game/scenario'
import { mirrorChart } from '../../../../core/sides/mirror'
import { useCharts } from '../../../../stores/charts'
import { useFigures } from '../../../../stores/figures'
import type { Chair } from '../../../../core/questions/climbs'
import type { Looked } from '../../../../stores/otherClimb'
import { t } from '../../../../words/slope'

/** How well they may see it coming instead. */
const READS = [0, 0.5, 0.9]
const MOST_CHARTS = 12

/**
 * What may be laid over the plan: they read us otherwise, a scenario that was kept, another chart. `name` of what is
 * laid over, and where to look for it.
 */
export function useOver(chair: () => Chair) {
  const charts = useCharts()
  const figures = useFigures()
  const chosen = ref('')
  const other = shallowRef<Chart | null>(null)
  const options = computed(() => {
    const { chart } = charts
    const sharpness = figures.scenario?.sharpness
    return [
      { value: '', label: t('slope.nothingOverIt') },
      ...READS.filter((one) => one !== sharpness).map((one) => ({
        value: `reads ${one}`,
        label: t('slope.ifTheySeeItComing', { n: Math.round(one * 100) }),
      })),
      ...(chart?.settings?.keptScenarios ?? []).map(({ id, name }) => ({ value: `kept ${id}`, label: name })),
      ...charts.kept
        .filter(({ id }) => id !== chart?.id)
        .slice(0, MOST_CHARTS)
        .map(({ id, title }) => ({ value: `chart ${id}`, label: t('slope.theChart', { title }) })),
    ]
  })
  const part = computed(() => {
    const [of, ...rest] = chosen.value.split(' ')
    return { of, what: rest.join(' ') }
  })
  watch(part, async ({ of, what }) => {
    const found = of === 'chart' ? await charts.peek(what) : null
    if (part.value.what === what) other.value = found && charts.isFlipped ? mirrorChart(found) : found
  })
  watch(
    () => charts.chart?.id,
    () => (chosen.value = ''),
  )

  const looked = computed((): Looked | null => {
    const { chart } = charts
    const { scenario } = figures
    if (!chart || !scenario) return null
    const { of, what } = part.value
    const at = (instead: Partial<Scenario>, of_ = chart): Looked => ({
      ...{ chart: of_, scenario: { ...scenario, ...instead }, chair: chair() },
    })
    if (of === 'reads') return at({ sharpness: Number(what) })
    if (of === 'kept') return { chart, scenario: scenarioOfKept(chart, what), chair: chair() }
    if (of !== 'chart' || !other.value) return null
    const { start, goal, aside } = scenarioOf(other.value)
    return at({ start, goal, aside }, other.value)
  })
  const name = computed(() => options.value.find(({ value }) => value === chosen.value && value)?.label)
  return { chosen, options, looked, name }
}
