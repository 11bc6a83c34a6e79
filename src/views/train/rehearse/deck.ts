import { useStorage, useTimestamp } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { keepRehearsed } from '../../../core/club/edits/rehearsed'
import { limitsOf } from '../../../core/club/limits'
import { mayAllDo } from '../../../core/club/protect'
import { mayBeLogged } from '../../../core/club/person'
import { membersOf } from '../../../core/club/whoIsThere'
import { askedKey, type Rehearsed } from '../../../core/club/rehearsed'
import { cardsOf, type Card } from '../../../core/rehearse/cards'
import type { PackCard } from '../../../core/rehearse/packKind'
import { factsOf } from '../../../core/rehearse/recall'
import { standingOf } from '../../../core/rehearse/schedule'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useFigures } from '../../../stores/figures'
import { useHomework } from '../../../stores/homework'
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
  const homework = useHomework()
  void clubs.start()
  void homework.start()
  undoIsAbout(() => (homework.pack ? homework : clubs))
  const now = useTimestamp({ interval: 20_000 })
  const pack = computed(() => homework.pack)
  /** Homework says by itself who it is for. */
  const partners = computed(() => (pack.value ? [] : (clubs.club?.people ?? [])))
  const people = computed(() => membersOf({ people: partners.value }))
  const person = computed(() => lookUp(people.value, who()))
  const may = computed(() => (clubs.club && person.value ? mayAllDo([person.value], limitsOf(clubs.club)) : () => true))
  const cards = computed(() => {
    if (!charts.chart || !figures.figures) return null
    if (pack.value) return pack.value.cards.map(withKey).filter(({ asked }) => isOf(chair(), asked))
    return cardsOf(charts.chart, figures.figures, may.value).filter(({ asked }) => isOf(chair(), asked))
  })
  const facts = computed(() =>
    pack.value
      ? pack.value.rehearsed
      : factsOf([...(clubs.club?.rehearsed ?? []), ...unkept.value], person.value?.id, charts.chart?.id ?? ''),
  )
  /** Whether nothing can be asked; false while it is not known yet. */
  const isEmpty = computed(() => (cards.value ? !cards.value.length : !figures.scenario?.start))
  const standing = computed(() => cards.value && standingOf(cards.value, facts.value, now.value))

  /** Why nothing of this is kept; '' where it is. */
  const unkeptBecause = computed(() => {
    if (pack.value) return ''
    if (person.value && !mayBeLogged(person.value)) return t('rehearse.notKeptOfMinors')
    return clubs.isReady && !clubs.club ? t('rehearse.keptOnlyHere') : ''
  })

  /** Keeps what was rehearsed; `label`: as it can be undone. */
  function keep(chart: Chart, { asked }: Card, known: Rehearsed['known'], label: string, from?: 'spar') {
    const us = pack.value?.us ?? person.value?.id
    const whose = { ...(us === undefined ? {} : { us }), chart: pack.value?.of ?? chart.id }
    const fact = { at: Date.now(), ...whose, ...asked, known, ...(from ? { in: from } : {}) }
    if (pack.value) homework.keep(label, fact)
    else if (clubs.club && !unkeptBecause.value) clubs.edit(label, (draft) => keepRehearsed(draft, fact))
    else unkept.value.push({ id: `k${unkept.value.length + 1}`, ...fact })
  }
  return { pack, people, partners, may, cards, facts, standing, isEmpty, keep, unkeptBecause }
}

/** Undo, and what is kept, are about a document as long as the screen is there, another one as soon as that is. */
function undoIsAbout(document: () => { shows: () => () => void }) {
  let end = () => {}
  const turn = (to: ReturnType<typeof document>) => {
    end()
    end = to.shows()
  }
  watch(document, turn, { immediate: true })
  onScopeDispose(() => end())
}

const withKey = (card: PackCard): Card => ({ key: askedKey(card.asked), ...card })

const isOf = (chair: Chair, asked: Card['asked']) => chair === 'both' || (asked.chair ?? 'ours') === chair
