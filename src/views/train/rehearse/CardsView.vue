<script setup lang="ts">
import { computed, ref } from 'vue'
import { present } from '../../../core/sure'
import type { Card } from '../../../core/rehearse/cards'
import { seedOf } from '../../../core/seed'
import { sittingOf } from '../../../core/rehearse/schedule'
import { mirrorChart } from '../../../core/sides/mirror'
import { sayCard } from '../../../core/say/rehearse'
import type { Known } from '../../../core/club/rehearsed'
import { useCharts } from '../../../stores/charts'
import DeckStart from './DeckStart.vue'
import OneCard from './OneCard.vue'
import SendBack from './SendBack.vue'
import SittingOver from './SittingOver.vue'
import { useDeck, useHow } from './deck'
import { t } from '../../../words/rehearse'

/** A sitting of ten questions: what is seen or what they do, and what we do then. */
const charts = useCharts()
const { who, chair, isPicked, hasBothSides } = useHow()
const { pack, people, cards, facts, standing, isEmpty, keep, unkeptBecause } = useDeck(
  () => who.value,
  () => chair.value,
)
/** What is asked in this sitting, what is missed once more at its end; and how each went. */
const queue = ref<Card[]>([])
const at = ref(0)
/** When the sitting began: the sides of a card stay while it is answered. */
const began = ref(0)
/** So many are asked, what is asked once more not counted. */
const sitting = ref(0)
const went = ref<{ card: Card; known: Known }[]>([])
const card = computed(() => queue.value[at.value])
const other = computed(() => mirrorChart(present(charts.chart)))
/** Sides change from card to card, by chance that is the card's own. */
const shown = computed(() => {
  const turned = hasBothSides.value && seedOf(`${card.value?.key} ${began.value}`) < 0.5
  return turned ? other.value : present(charts.chart)
})

function begin() {
  began.value = Date.now()
  queue.value = sittingOf(cards.value ?? [], facts.value, began.value)
  sitting.value = queue.value.length
  went.value = []
  at.value = 0
}
function answered(known: Known) {
  const chart = charts.chart
  if (!card.value || !chart) return
  const { where, happens } = sayCard(chart, card.value.asked)
  keep(chart, card.value, known, t('rehearse.rehearsed', { what: happens || where }))
  const isFirst = !went.value.some((one) => one.card === card.value)
  if (isFirst) went.value.push({ card: card.value, known })
  if (known === 'again' && isFirst) queue.value.push(card.value)
}
</script>

<template>
  <OneCard
    v-if="card"
    :key="at"
    :card="card"
    :chart="shown"
    :n="at < sitting ? t('rehearse.nOf', { n: at + 1, of: sitting }) : t('rehearse.onceMore')"
    :is-picked="isPicked"
    @answered="answered"
    @next="at += 1"
    @stop="at = queue.length"
  />
  <SittingOver v-else-if="went.length" :went="went" :standing="standing" @more="begin" @over="went = []">
    <SendBack v-if="pack" :pack="pack" />
  </SittingOver>
  <DeckStart
    v-else
    v-model:who="who"
    v-model:chair="chair"
    v-model:picked="isPicked"
    v-model:sides="hasBothSides"
    :people="people"
    :standing="standing"
    :is-empty="isEmpty"
    :unkept-because="unkeptBecause"
    @begin="begin"
  >
    <SendBack v-if="pack" :pack="pack" />
  </DeckStart>
</template>
