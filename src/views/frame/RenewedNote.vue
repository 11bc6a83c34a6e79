<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

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
    <span>{{ t('frame.ataqueHasBeenRenewedReloadTo') }}</span>
    <el-button type="primary" @click="reload()">{{ t('frame.reload') }}</el-button>
  </div>
</template>
