<script setup lang="ts">
import { computed, defineAsyncComponent, shallowRef } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { present } from '../../../core/sure'
import ProblemList from '../../../components/ProblemList.vue'
import { useCharts } from '../../../stores/charts'
import { useReport } from './report'
import { t } from '../../../words/files'

/** Why a file was refused, record by record; or which of two charts to keep. */
const TakeInPanel = defineAsyncComponent(() => import('./TakeInPanel.vue'))
const RestorePanel = defineAsyncComponent(() => import('./RestorePanel.vue'))
const EditionPanel = defineAsyncComponent(() => import('./EditionPanel.vue'))
const CellErrors = defineAsyncComponent(() => import('./CellErrors.vue'))
const MergePanel = defineAsyncComponent(() => import('./MergePanel.vue'))
const { report, close } = useReport()
const charts = useCharts()

const heading = computed(() => {
  const { file = '', taken, incoming, backup, edition } = report.value ?? {}
  if (edition) return t('files.anotherEdition', { title: edition.fresh.title })
  if (backup) return t('files.aBackup')
  if (taken) return t('files.thisChartIsHereAlready')
  return incoming ? t('files.fromAFile', { file }) : t('files.fileWasNotImported', { file })
})
/** While two charts are merged: the file's, and what both began as. */
const merging = shallowRef<{ file: Chart; base: Chart | null } | null>(null)

async function merge() {
  const file = present(present(report.value).taken).chart
  const base = await charts.openToMerge(file)
  if (base === undefined) return close()
  merging.value = { file, base }
}

async function beside() {
  const chart = present(present(report.value).taken).chart
  close()
  await charts.importBeside(chart)
}

async function over() {
  const chart = present(present(report.value).taken).chart
  close()
  await charts.importOver(chart)
  charts.tell(t('files.theChartIsTheImportedOne'))
}
</script>

<template>
  <el-dialog v-if="report" :model-value="true" :title="heading" width="min(640px, 94vw)" @close="close">
    <TakeInPanel v-if="report.incoming" :file="report.file" :incoming="report.incoming" @done="close" />
    <RestorePanel v-else-if="report.backup" :backup="report.backup" @done="close" />
    <EditionPanel v-else-if="report.edition" :offered="report.edition" @done="close" />
    <CellErrors v-else-if="report.errors" :errors="report.errors" />
    <MergePanel v-else-if="merging" :file="merging.file" :base="merging.base" @done="close" />
    <template v-else-if="report.taken">
      <p>{{ t('files.takenHasTheSameIdAs', { taken: report.taken.title, file: report.file }) }}</p>
      <p class="choices">
        <el-button type="primary" @click="merge">{{ t('files.merge') }}</el-button>
        <el-button @click="beside">{{ t('files.keepBoth') }}</el-button>
        <el-button @click="over">{{ t('files.putItInPlaceOfMine') }}</el-button>
        <el-button text @click="close">{{ t('files.doNotImport') }}</el-button>
      </p>
    </template>
    <template v-else>
      <p>{{ t('files.nothingOfYoursWasChangedWhat') }}</p>
      <ProblemList :problems="report.problems ?? []" :most="40" />
    </template>
  </el-dialog>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  margin-top: var(--space-16);
}
</style>
