<script setup lang="ts">
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import ChainSaid from './ChainSaid.vue'

/** The questions that a coach asks of the plan: the chain from here to a finish, said. */
const charts = useCharts()
const figures = useFigures()
</script>

<template>
  <main class="runs">
    <ChainSaid v-if="charts.chart && figures.figures" :key="charts.chart.id" />
    <p v-else-if="charts.chart" class="muted">There is nothing to say yet: chart a position and a move from it.</p>
    <p v-else class="muted">Open a chart first.</p>
  </main>
</template>

<style scoped>
.runs {
  max-width: 1240px;
  padding: 16px 20px 60px;
}
</style>
