import { watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Club } from '../core/club/clubKind'
import { matchUp, triesOf } from '../core/club/matchUp'
import { adjusted } from '../core/match/adjust'
import { Landings, type Landing } from '../core/match/better'
import type { Variant } from '../core/match/recordOf'
import { present } from '../core/sure'
import { athletesIn, matchIn, weighing } from './against'
import { logged, played, whoPlays } from './estimates'

/** What is only remembered says what was practised, and counts in no figure. */
const counts = ({ isPartial }: Club['tries'][number]) => !isPartial

/** What tries say of how often things land in a chart, for the group and for one person of it. */
function landingBy(tries: Club['tries'], us: string | undefined) {
  const known = new WeakMap<Chart, Landings>()
  return (chart: Chart, what: Variant): Landing | null => {
    const before = known.get(chart)
    if (before) return before.of(what, us)
    const { chart: own, match } = matchUp(chart, { tries }, { us: null, them: null }, weighing())
    const found = new Landings(own, present(match.log))
    known.set(chart, found)
    return found.of(what, us)
  }
}

/**
 * Lets what a club knows count in all figures: the tries that are logged, as those of the group, and who plays against
 * whom (5.5 and 5.6 of the model).
 */
export function useClubEstimates(club: () => Club | null): void {
  watch(
    [() => club()?.tries, () => weighing().halfLife, () => JSON.stringify(athletesIn(club()?.people ?? []))],
    ([tries = []]) => {
      const { us, them } = athletesIn(club()?.people ?? [])
      const names = matchIn(club()?.people ?? [])
      whoPlays.value = us || them ? { us: names.us?.name ?? '', them: names.them?.name ?? '' } : null
      logged.value = null
      if (!tries.length && !us && !them) return void (played.value = (chart) => chart)
      if (tries.length) {
        const of = (chart: string) => triesOf({ tries }, chart).filter(counts).length
        logged.value = { club: club()?.title ?? '', of, landing: landingBy(tries, us?.id) }
      }
      const known = new WeakMap<Chart, Chart>()
      played.value = (chart) => {
        const before = known.get(chart)
        if (before) return before
        const { chart: own, match } = matchUp(chart, { tries }, { us, them }, weighing())
        const after = adjusted(own, match)
        known.set(chart, after)
        return after
      }
    },
    { immediate: true },
  )
}
