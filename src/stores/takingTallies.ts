import dayjs from 'dayjs'
import { watch, type Ref } from 'vue'
import type { Club } from '../core/club/clubKind'
import { takeTallies, untakenTallies } from '../core/club/tallies'
import type { Edit } from '../core/document/history'
import { t } from '../words/train'
import { useCharts } from './charts'

/**
 * What is tallied on the chart that is open goes to the log of the club too. It is looked for when either is opened and
 * when the chart is changed, not when the club is, so that taking it back stays taken back.
 */
export function useTakingTallies(club: Ref<Club | null>, edit: (label: string, edit: Edit<Club>) => boolean): void {
  const charts = useCharts()
  watch(
    [() => charts.chart, () => club.value?.id] as const,
    ([chart]) => {
      const today = dayjs().format('YYYY-MM-DD')
      if (!chart || !club.value || !untakenTallies(club.value, chart, today).length) return
      edit(t('train.takeInTallies', { chart: chart.title }), (draft) => takeTallies(draft, chart, today))
    },
    { immediate: true },
  )
}
