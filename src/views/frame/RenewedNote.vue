<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { registerSW } from 'virtual:pwa-register'
import { ref } from 'vue'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

/**
 * The server has a newer build: the browser has fetched it and waits to be told; or a part of this build that is loaded
 * on demand is no longer there.
 */
const charts = useCharts()
const isRenewed = ref(false)
useEventListener(window, 'vite:preloadError', () => (isRenewed.value = true))
let waits = false
const letIn = registerSW({ onNeedRefresh: () => (waits = isRenewed.value = true) })

async function reload() {
  await charts.retry()
  // A build that waits reloads the page by itself once it has taken over.
  if (waits) await letIn()
  else location.reload()
}
</script>

<template>
  <div v-if="isRenewed" class="news warning" role="alert">
    <span>{{ t('frame.ataqueHasBeenRenewedReloadTo') }}</span>
    <el-button type="primary" @click="reload()">{{ t('frame.reload') }}</el-button>
  </div>
</template>
