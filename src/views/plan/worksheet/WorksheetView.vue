<script setup lang="ts">
import { useCharts } from '../../../stores/charts'
import WelcomePanel from '../../frame/WelcomePanel.vue'
import WorksheetSheet from './WorksheetSheet.vue'

const charts = useCharts()
</script>

<template>
  <WelcomePanel v-if="!charts.chart" />
  <WorksheetSheet v-else :key="charts.chart.id" />
</template>
