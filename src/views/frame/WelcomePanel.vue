<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useCharts } from '../../stores/charts'
import { openDemo } from '../parts/files/demo'
import FileButton from '../../components/FileButton.vue'
import { importFile } from '../parts/files/importing'
import { t } from '../../words'

const charts = useCharts()
const router = useRouter()

/** Creates a plan and opens the Worksheet, unless the coach has gone to another screen in the meantime. */
async function begin() {
  const { fullPath } = router.currentRoute.value
  await charts.create(t('common.newPlan'))
  if (router.currentRoute.value.fullPath === fullPath) await router.push('/worksheet')
}
</script>

<template>
  <section class="panel welcome">
    <h1>{{ t('frame.whereDoesYourChainLeak') }}</h1>
    <p>
      {{ t('frame.chartWhatYouTryWhatThey') }}
    </p>
    <p class="actions">
      <el-button type="primary" @click="openDemo()">{{ t('common.openTheDemoPlan') }}</el-button>
      <el-button @click="begin">{{ t('frame.startAnEmptyChart') }}</el-button>
      <FileButton text :label="t('common.chartFile')" @file="importFile">{{ t('frame.importAChart') }}</FileButton>
    </p>
    <p class="muted small">
      {{ t('frame.everythingStaysInThisBrowserIt') }}
    </p>
  </section>
</template>

<style scoped>
.welcome {
  display: grid;
  gap: var(--space-16);
  max-width: 640px;
  margin: var(--space-24) var(--space-24);
  padding: var(--space-24);
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}
</style>
