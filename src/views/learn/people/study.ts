import { computed } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { athleteOf } from '../../../core/club/athlete'
import { matchUp } from '../../../core/club/matchUp'
import type { ClubPerson } from '../../../core/club/person'
import { bodyFits, bodyRulesOf } from '../../../core/learn/bodyFit'
import { habitsOf } from '../../../core/learn/habits'
import { adjusted } from '../../../core/match/adjust'
import { fittedBy } from '../../../core/match/fitted'
import { landingShare } from '../../../core/match/recordOf'
import { matchIn, weighing } from '../../../stores/against'
import { useAsking } from '../../../stores/asking'
import { useLog } from '../../parts/club/log'

/** So many habits, and openings, have room. */
const MOST = 6

/** What somebody does, what we have for it, where they are open, and what the plan is worth against them. */
export function useStudy(person: () => ClubPerson) {
  const { log, asked } = useLog()
  /** Who is us in the scenario; nobody meets himself. */
  const us = computed(() => {
    const ours = matchIn(log.value?.club.people ?? []).us
    return ours?.id === person().id ? undefined : ours
  })
  const own = computed(() => {
    if (!log.value) return null
    const { club, chart } = log.value
    const ours = us.value ? athleteOf(us.value, club.people) : null
    return matchUp(chart, club, { us: ours, them: athleteOf(person(), club.people) }, weighing())
  })
  const against = computed(() => own.value && adjusted(own.value.chart, own.value.match))
  const study = computed(() => {
    if (!log.value || !own.value || !against.value) return null
    const { chart, tries, now, halfLife } = log.value
    const seen = habitsOf(chart, { tries, now, halfLife }, person().id)
    return { seen, chart: against.value, fitted: fittedBy(own.value.chart, own.value.match) }
  })
  const openings = computed(() =>
    (study.value?.fitted.moves ?? []).filter(({ before, after }) => after > before).slice(0, MOST),
  )
  const closed = computed(() =>
    (study.value?.fitted.moves ?? []).filter(({ before, after }) => after < before).slice(0, MOST),
  )
  const bodies = computed(() =>
    us.value && log.value ? bodyFits(us.value, person(), bodyRulesOf(log.value.club)) : null,
  )
  /** Against nobody in particular, and against them. */
  const { found: plan } = useAsking(() => {
    if (!against.value || !asked.value) return null
    const { chart, tries, now, halfLife, scenario } = asked.value
    const before = adjusted(chart, { us: null, them: null, log: { tries, now, halfLife } })
    return { question: { of: 'otherPlan' as const, scenario, before }, chart: against.value }
  })
  return { us, study, openings, closed, bodies, plan }
}

/** What a chart has for a reaction: the moves that answer it, with how often they land, 0 to 1. */
export const answersFor = (chart: Chart, reaction: string): { name: string; lands: number | undefined }[] =>
  chart.answers
    .filter((one) => one.reaction === reaction)
    .map(({ move, reaction: reply }) => ({
      name: lookUp(chart.moves, move)?.name ?? move,
      lands: landingShare(chart, { move, reply }),
    }))
