<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { headline } from '../../../core/say/headline'
import { sayRepeats } from '../../../core/say/trust'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import HowSure from '../../parts/figures/HowSure.vue'
import StartPanel from './StartPanel.vue'
import { t } from '../../../words'

/** What the start is worth, and what becomes of a hundred exchanges. */
const charts = useCharts()
const store = useFigures()
const sentence = computed(() => headline(present(charts.chart), present(store.scenario), present(store.figures)))
const repeats = computed(() => sayRepeats(present(charts.chart), present(store.figures)))
const endings = computed(() => ({
  finish: present(store.scenario).goal.length ? t('desk.finishedOrAtTheGoal') : t('desk.finished'),
  ours: t('desk.endedAhead'),
  even: t('desk.endedEven'),
  theirs: t('desk.endedBehind'),
  caught: t('desk.caught'),
}))
</script>

<template>
  <StartPanel
    :name="t('desk.whatTheStartIsWorth')"
    :label="t('common.worth')"
    :figure="t('common.worthOfTheStart')"
    :sentence="sentence"
    :endings="endings"
  >
    <template #beside><HowSure /></template>
    <p v-if="repeats" class="muted">{{ repeats }}</p>
  </StartPanel>
</template>
