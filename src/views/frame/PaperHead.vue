<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { language, t } from '../../words'
import { useCharts } from '../../stores/charts'
import { scenarioLine } from '../parts/print/scenarioLine'

/** The head of every printed sheet: on which day, and where it is about the plan, of which chart in which scenario. */
defineProps<{ isOfPlan: boolean; saysWho: boolean }>()
const charts = useCharts()
const today = () => new Date().toLocaleDateString(language, { dateStyle: 'long' })
const day = ref(today())
useEventListener(window, 'beforeprint', () => (day.value = today()))
</script>

<template>
  <header class="on-paper">
    <p>
      <b>{{ t('frame.ataque') }}</b> · {{ day
      }}<template v-if="isOfPlan && charts.chart">
        · {{ scenarioLine(charts.chart, charts.isFlipped, saysWho) }}</template
      >
    </p>
  </header>
</template>

<style scoped>
header {
  margin-bottom: var(--space-8);
  padding-bottom: var(--space-4);
  border-bottom: 1px solid var(--strong-line);
  font: var(--type-small) / 1.3 var(--label);
}
</style>
