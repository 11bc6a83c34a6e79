<script setup lang="ts">
import { useCharts } from '../../../stores/charts'
import WelcomePanel from '../../frame/WelcomePanel.vue'
import HoldsSheet from './HoldsSheet.vue'

const charts = useCharts()
</script>

<template>
  <WelcomePanel v-if="!charts.chart" />
  <HoldsSheet v-else :key="charts.chart.id" />
</template>
