<script setup lang="ts">
import { useCharts } from '../../../stores/charts'
import WelcomePanel from '../../frame/WelcomePanel.vue'
import ScoreSheet from './ScoreSheet.vue'

const charts = useCharts()
</script>

<template>
  <WelcomePanel v-if="!charts.chart" />
  <ScoreSheet v-else :key="charts.chart.id" />
</template>
