import { useStorage, useTimestamp } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { keepRehearsed } from '../../../core/club/edits/rehearsed'
import { limitsOf } from '../../../core/club/limits'
import { mayAllDo } from '../../../core/club/protect'
import { mayBeLogged } from '../../../core/club/person'
import type { Rehearsed } from '../../../core/club/rehearsed'
import { cardsOf, type Card } from '../../../core/rehearse/cards'
import { factsOf } from '../../../core/rehearse/recall'
import { standingOf } from '../../../core/rehearse/schedule'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/rehearse'

export const CHAIRS = ['ours', 'theirs', 'both'] as const
export type Chair = (typeof CHAIRS)[number]

/** Who rehearses, and how: kept in this browser. */
export const useHow = () => ({
  who: useStorage('ataque-rehearses', ''),
  chair: useStorage<Chair>('ataque-rehearses-chair', 'ours'),
  isPicked: useStorage('ataque-rehearses-picked', true),
  hasBothSides: useStorage('ataque-rehearses-sides', true),
})

/** What is not kept is known until the page is left. */
const unkept = ref<Rehearsed[]>([])

/** The questions of the open chart for who rehearses, how they stand, and the log of them. */
export function useDeck(who: () => string, chair: () => Chair) {
  const charts = useCharts()
  const clubs = useClubs()
  const figures = useFigures()
  void clubs.start()
  clubs.onScreen()
  const now = useTimestamp({ interval: 20_000 })
  const people = computed(() => (clubs.club?.people ?? []).filter(({ isRival }) => !isRival))
  const person = computed(() => lookUp(people.value, who()))
  const may = computed(() => (clubs.club && person.value ? mayAllDo([person.value], limitsOf(clubs.club)) : () => true))
  const cards = computed(() => {
    if (!charts.chart || !figures.figures) return null
    return cardsOf(charts.chart, figures.figures, may.value).filter(({ asked }) => isOf(chair(), asked))
  })
  const facts = computed(() =>
    factsOf([...(clubs.club?.rehearsed ?? []), ...unkept.value], person.value?.id, charts.chart?.id ?? ''),
  )
  const standing = computed(() => cards.value && standingOf(cards.value, facts.value, now.value))

  /** Why nothing of this is kept; '' where it is. */
  const unkeptBecause = computed(() => {
    if (person.value && !mayBeLogged(person.value)) return t('rehearse.notKeptOfMinors')
    return clubs.isReady && !clubs.club ? t('rehearse.keptOnlyHere') : ''
  })

  /** Keeps what was rehearsed; `label`: as it can be undone. */
  function keep(chart: Chart, { asked }: Card, known: Rehearsed['known'], label: string, from?: 'spar') {
    const us = person.value ? { us: person.value.id } : {}
    const fact = { at: Date.now(), ...us, chart: chart.id, ...asked, known, ...(from ? { in: from } : {}) }
    if (clubs.club && !unkeptBecause.value) clubs.edit(label, (draft) => keepRehearsed(draft, fact))
    else unkept.value.push({ id: `k${unkept.value.length + 1}`, ...fact })
  }
  return { people, may, cards, facts, standing, keep, unkeptBecause }
}

const isOf = (chair: Chair, asked: Card['asked']) => chair === 'both' || (asked.chair ?? 'ours') === chair
