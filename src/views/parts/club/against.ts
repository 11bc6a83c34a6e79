import { computed } from 'vue'
import { matchUp } from '../../../core/club/matchUp'
import { exchangeOf } from '../../../core/game/scenario'
import { adjusted } from '../../../core/match/adjust'
import { fittedBy } from '../../../core/match/fitted'
import { athletesIn, matchIn, weighing } from '../../../stores/against'
import { useAsking } from '../../../stores/asking'
import { present } from '../../../core/sure'
import { useFigures } from '../../../stores/figures'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'

/** Who against whom in the open club, and what that changes of the open chart. */
export function useAgainst() {
  const clubs = useClubs()
  const charts = useCharts()
  const figures = useFigures()
  const people = computed(() => clubs.club?.people ?? [])
  const match = computed(() => matchIn(people.value))
  const own = computed(() => {
    const { chart } = charts
    if (!chart || (!match.value.us && !match.value.them)) return null
    return matchUp(chart, { tries: clubs.club?.tries ?? [] }, athletesIn(people.value), weighing())
  })
  const changes = computed(() => own.value && fittedBy(own.value.chart, own.value.match))
  const { found: plan } = useAsking(() => {
    if (!own.value || !figures.scenario) return null
    const { chart, match: both } = own.value
    const [before, now] = [{ ...both, us: null, them: null }, both].map((one) => adjusted(chart, one))
    const question = { of: 'otherPlan' as const, scenario: exchangeOf(figures.scenario), before: present(before) }
    return { question, chart: present(now) }
  })
  return { people, match, changes, plan }
}
