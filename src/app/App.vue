<script setup lang="ts">
import { onMounted } from 'vue'
import { useCharts } from '../stores/charts'
import AppFrame from '../views/frame/AppFrame.vue'

const charts = useCharts()
onMounted(() => void charts.start())
</script>

<template>
  <AppFrame />
</template>
