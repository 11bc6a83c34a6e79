import { computed } from 'vue'
import { matchUp } from '../../../core/club/matchUp'
import { fittedBy } from '../../../core/match/fitted'
import { athletesIn, chosen, matchIn, weighing } from '../../../stores/against'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'

/** Who against whom in the open club, and what that changes of the open chart. */
export function useAgainst() {
  const clubs = useClubs()
  const charts = useCharts()
  const people = computed(() => clubs.club?.people ?? [])
  const match = computed(() => matchIn(people.value))
  const changes = computed(() => {
    const { chart } = charts
    if (!chart || (!match.value.us && !match.value.them)) return null
    const tries = clubs.club?.tries ?? []
    const own = matchUp(chart, { tries }, athletesIn(people.value), weighing())
    return fittedBy(own.chart, own.match)
  })
  const set = (side: 'us' | 'them', id: string) => (chosen.value = { ...chosen.value, [side]: id })
  return { people, match, changes, set }
}
