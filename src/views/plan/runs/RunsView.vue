<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import BeatenPanel from './BeatenPanel.vue'
import ChainSaid from './ChainSaid.vue'
import RoundSheets from './RoundSheets.vue'
import RunsTabs from './RunsTabs.vue'
import SideBySide from './SideBySide.vue'
import WhatIf from './WhatIf.vue'

/** The questions that a coach asks of the plan: the chain from here to a finish, said; how they would beat it. */
const charts = useCharts()
const figures = useFigures()
const route = useRoute()
const what = computed(() => String(route.params.what ?? ''))
</script>

<template>
  <main class="runs">
    <RunsTabs :at="what" />
    <template v-if="charts.chart && figures.figures">
      <BeatenPanel v-if="what === 'beat'" :key="charts.chart.id" />
      <RoundSheets v-else-if="what === 'rounds'" :key="`rounds ${charts.chart.id}`" />
      <WhatIf v-else-if="what === 'what-if'" :key="`if ${charts.chart.id}`" />
      <SideBySide v-else-if="what === 'side-by-side'" :key="`side ${charts.chart.id}`" />
      <ChainSaid v-else :key="charts.chart.id" />
    </template>
    <p v-else-if="charts.chart" class="muted">There is nothing to say yet: chart a position and a move from it.</p>
    <p v-else class="muted">Open a chart first.</p>
  </main>
</template>

<style scoped>
/* What is there for readers only is placed within it, or it would lengthen the page behind the frame. */
.runs {
  position: relative;
  display: grid;
  gap: 12px;
  max-width: 1240px;
  padding: 12px 20px 60px;
}
</style>
