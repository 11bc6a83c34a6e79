import { computed, ref, shallowRef, watch } from 'vue'
import type { Option } from '../../../../components/options'
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
  /** Another chart, once it is read. */
  const other = shallowRef<Chart | null>(null)

  /** What may be chosen, with what is looked at then. */
  const choices = computed((): Choice[] => {
    const [{ chart }, { scenario }] = [charts, figures]
    if (!chart || !scenario) return []
    const at = (instead: Partial<Scenario>, of = chart) => ({ chart: of, scenario: { ...scenario, ...instead } })
    return [
      ...READS.filter((sharpness) => sharpness !== scenario.sharpness).map((sharpness) => ({
        value: `reads ${sharpness}`,
        label: t('slope.ifTheySeeItComing', { n: Math.round(sharpness * 100) }),
        look: () => at({ sharpness }),
      })),
      ...(chart.settings?.keptScenarios ?? []).map(({ id, name }) => ({
        ...{ value: `kept ${id}`, label: name, look: () => ({ chart, scenario: scenarioOfKept(chart, id) }) },
      })),
      ...charts.kept
        .filter(({ id }) => id !== chart.id)
        .slice(0, MOST_CHARTS)
        .map(({ id, title }) => ({
          ...{ value: `chart ${id}`, label: t('slope.theChart', { title }), reads: id },
          look: () => (other.value?.id === id ? at(whereIn(other.value), other.value) : null),
        })),
    ]
  })
  const choice = computed(() => choices.value.find(({ value }) => value === chosen.value))
  watch(
    () => choice.value?.reads,
    async (id) => {
      const found = id === undefined ? null : await charts.peek(id)
      if (choice.value?.reads === id) other.value = found && charts.isFlipped ? mirrorChart(found) : found
    },
  )
  watch(
    () => charts.chart?.id,
    () => (chosen.value = ''),
  )

  const options = computed(() => [{ value: '', label: t('slope.nothingOverIt') }, ...choices.value])
  const looked = computed((): Looked | null => {
    const found = choice.value?.look()
    return found ? { ...found, chair: chair() } : null
  })
  const name = computed(() => choice.value?.label)
  return { chosen, options, looked, name }
}

interface Choice extends Option {
  /** The id of a chart that is read for it. */
  reads?: string
  look: () => Pick<Looked, 'chart' | 'scenario'> | null
}

/** Where another chart begins and what it is after: the rest of the scenario is that of the open one. */
function whereIn(chart: Chart): Partial<Scenario> {
  const { start, goal, aside } = scenarioOf(chart)
  return { start, goal, aside }
}
