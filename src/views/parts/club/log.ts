import { computed } from 'vue'
import { matchUp } from '../../../core/club/matchUp'
import { exchangeOf } from '../../../core/game/scenario'
import { weighing } from '../../../stores/against'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useFigures } from '../../../stores/figures'

/** The open chart with the log of the open club beside it rather than in it; null where there is neither. */
export function useLog() {
  const charts = useCharts()
  const clubs = useClubs()
  const figures = useFigures()
  const log = computed(() => {
    if (!charts.chart || !clubs.club) return null
    const own = matchUp(charts.chart, clubs.club, { us: null, them: null }, weighing())
    const { tries = [] } = own.match.log ?? {}
    return { chart: own.chart, club: clubs.club, tries, ...weighing() }
  })
  /** The log with the scenario that is looked at, for what is solved. */
  const asked = computed(() =>
    log.value && figures.scenario ? { ...log.value, scenario: exchangeOf(figures.scenario) } : null,
  )
  return { log, asked }
}
