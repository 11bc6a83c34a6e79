<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { askedKey } from '../../../core/club/rehearsed'
import { MAX_SHARPNESS } from '../../../core/game/scenario'
import { costliest, nextSharpness } from '../../../core/rehearse/spar'
import { useFigures } from '../../../stores/figures'
import SparOver from './SparOver.vue'
import SparStart from './SparStart.vue'
import SparTurn from './SparTurn.vue'
import { useDeck, useHow } from './deck'
import { newSeed, useSparring, useSparringHow, type Bout } from './sparring'
import { t } from '../../../words/rehearse'
import { sayCard } from '../../../core/say/rehearse'

/** A partner plays the chart against one who chooses; afterwards each choice is held against the best one. */
const route = useRoute()
const figures = useFigures()
const { who } = useHow()
const { sharpness, shotClock } = useSparringHow()
const { people, partners, cards, keep, may, unkeptBecause } = useDeck(
  () => who.value,
  () => 'ours',
)
const { bout, spar, choose, begin } = useSparring()
/** So many choices become cards. */
const BECOME_CARDS = 2
const asked = computed(() => Number(route.query.seed) || 0)
const sharp = computed(() => {
  const given = Number(route.query.sharp ?? NaN)
  return asked.value && given >= 0 && given <= MAX_SHARPNESS ? given : null
})
watch(
  [asked, sharp],
  () => {
    if (sharp.value !== null) sharpness.value = sharp.value
    // A link to another partner may be opened in the midst of an exchange.
    if (asked.value) bout.value = null
  },
  { immediate: true },
)

/** What was missed is asked on cards from now on: the two that cost most. */
const missed = computed(() =>
  costliest(spar.value?.choices ?? [], BECOME_CARDS).flatMap((choice) => {
    const key = askedKey(choice.asked)
    return cards.value?.find((card) => card.key === key) ?? []
  }),
)
let told: Bout | null = null
watch(
  () => Boolean(spar.value?.ended),
  (isOver) => {
    // Once for each exchange: its last choice is asked again whenever figures come anew.
    if (!isOver || !spar.value || !bout.value || told === bout.value) return
    told = bout.value
    const { chart } = bout.value
    const cost = spar.value.choices.reduce((sum, one) => sum + one.cost, 0)
    sharpness.value = nextSharpness(bout.value.sharpness, cost)
    for (const card of missed.value) {
      const { where, happens } = sayCard(chart, card.asked)
      keep(chart, card, 'again', t('rehearse.toLearn', { what: happens || where }), 'spar')
    }
  },
)
</script>

<template>
  <SparStart
    v-if="!bout"
    v-model:sharpness="sharpness"
    v-model:clock="shotClock"
    v-model:who="who"
    :seed="asked"
    :is-empty="!figures.scenario?.start"
    :people="people"
    :partners="partners"
    :unkept-because="unkeptBecause"
    @begin="begin(asked || newSeed(), sharpness, may)"
  />
  <SparOver
    v-else-if="spar?.ended"
    :spar="spar"
    :chart="bout.chart"
    :bout="bout"
    :cards="missed.length"
    @again="begin(bout.seed, bout.sharpness, may)"
    @other="begin(newSeed(), sharpness, may)"
  />
  <SparTurn v-else :spar="spar" :chart="bout.chart" :clock="shotClock" @choose="choose" @stop="bout = null" />
</template>
