<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { useCharts } from '../../stores/charts'

/** A part of this build that is loaded on demand is no longer there: the server has a newer build. */
const charts = useCharts()
const isRenewed = ref(false)
useEventListener(window, 'vite:preloadError', () => (isRenewed.value = true))

async function reload() {
  await charts.retry()
  location.reload()
}
</script>

<template>
  <div v-if="isRenewed" class="news warning" role="alert">
    <span>Ataque has been renewed: reload to go on. What you have done is kept first.</span>
    <button type="button" class="button primary" @click="reload()">Reload</button>
  </div>
</template>
