<script setup lang="ts">
import { present } from '../../../core/sure'
import ProblemList from '../../../components/ProblemList.vue'
import { useCharts } from '../../../stores/charts'
import { useReport } from './report'
import { t } from '../../../words/files'

/** Why a file was refused, record by record; or which of two charts to keep. */
const { report, close } = useReport()
const charts = useCharts()

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
  <el-dialog
    v-if="report"
    :model-value="true"
    :title="report.taken ? t('files.thisChartIsHereAlready') : t('files.fileWasNotImported', { file: report.file })"
    width="640"
    @close="close"
  >
    <template v-if="report.taken">
      <p>{{ t('files.takenHasTheSameIdAs', { taken: report.taken.title, file: report.file }) }}</p>
      <p class="choices">
        <el-button type="primary" @click="beside">{{ t('files.keepBoth') }}</el-button>
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
