<script setup lang="ts">
import { useCharts } from '../../../stores/charts'
import WelcomePanel from '../../frame/WelcomePanel.vue'
import SlopeSheet from './SlopeSheet.vue'

const charts = useCharts()
</script>

<template>
  <WelcomePanel v-if="!charts.chart" />
  <SlopeSheet v-else :key="charts.chart.id" />
</template>
