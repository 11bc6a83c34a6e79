import dayjs from 'dayjs'
import { watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Club } from '../core/club/clubKind'
import { withoutTaken } from '../core/club/tallies'
import { adjusted } from '../core/match/adjust'
import { logged, played } from './estimates'

/** What is only remembered says what was practised, and counts in no figure. */
const counts = ({ isPartial }: Club['tries'][number]) => !isPartial

/** Lets the tries that are logged of a club count in all figures, as those of the group (5.6 of the model). */
export function useClubEstimates(club: () => Club | null): void {
  watch(
    () => club()?.tries,
    (tries) => {
      logged.value = null
      if (!tries?.length) return void (played.value = (chart) => chart)
      const of = (chart: string) => tries.filter((one) => one.chart === undefined || one.chart === chart)
      logged.value = { club: club()?.title ?? '', of: (chart) => of(chart).filter(counts).length }
      const known = new WeakMap<Chart, Chart>()
      played.value = (chart) => {
        const before = known.get(chart)
        if (before) return before
        const now = dayjs().format('YYYY-MM-DD')
        const some = of(chart.id)
        const after = adjusted(withoutTaken(chart, some), { us: null, them: null, log: { tries: some, now } })
        known.set(chart, after)
        return after
      }
    },
    { immediate: true },
  )
}
