<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { askedKey } from '../../../core/club/rehearsed'
import { MAX_SHARPNESS } from '../../../core/game/scenario'
import { costliest, nextSharpness } from '../../../core/rehearse/spar'
import { present } from '../../../core/sure'
import SparOver from './SparOver.vue'
import SparStart from './SparStart.vue'
import SparTurn from './SparTurn.vue'
import { useDeck, useHow } from './deck'
import { newSeed, useSparring, useSparringHow } from './sparring'
import { t } from '../../../words/rehearse'
import { sayCard } from '../../../core/say/rehearse'

/** A partner plays the chart against one who chooses; afterwards each choice is held against the best one. */
const route = useRoute()
const { who } = useHow()
const { sharpness, shotClock } = useSparringHow()
const { cards, keep } = useDeck(
  () => who.value,
  () => 'ours',
)
const { bout, spar, choose, chart } = useSparring()
/** So many choices become cards. */
const BECOME_CARDS = 2
const asked = computed(() => Number(route.query.seed) || 0)
const sharp = Number(route.query.sharp)
if (asked.value && sharp >= 0 && sharp <= MAX_SHARPNESS) sharpness.value = sharp
/** The same partner is as sharp as before, and so is one that a link names. */
const begin = (seed: number, sharp = sharpness.value) => (bout.value = { seed, sharpness: sharp, chosen: [] })

/** What was missed is asked on cards from now on: the two that cost most. */
const missed = computed(() =>
  costliest(spar.value?.choices ?? [], BECOME_CARDS).flatMap((choice) => {
    const key = askedKey(choice.asked)
    return cards.value?.find((card) => card.key === key) ?? []
  }),
)
watch(
  () => spar.value?.ended,
  (ended) => {
    if (!ended || !chart.value || !spar.value) return
    const cost = spar.value.choices.reduce((sum, one) => sum + one.cost, 0)
    sharpness.value = nextSharpness(present(bout.value).sharpness, cost)
    for (const card of missed.value) {
      const { where, happens } = sayCard(chart.value, card.asked)
      keep(chart.value, card, 'again', t('rehearse.toLearn', { what: happens || where }), 'spar')
    }
  },
)
</script>

<template>
  <SparStart
    v-if="!bout || !chart"
    v-model:sharpness="sharpness"
    v-model:clock="shotClock"
    :seed="asked"
    @begin="begin(asked || newSeed())"
  />
  <SparOver
    v-else-if="spar?.ended"
    :spar="spar"
    :chart="chart"
    :bout="bout"
    :cards="missed.length"
    @again="begin(bout.seed, bout.sharpness)"
    @other="begin(newSeed())"
  />
  <SparTurn v-else :spar="spar" :chart="chart" :clock="shotClock" @choose="choose" @stop="bout = null" />
</template>
