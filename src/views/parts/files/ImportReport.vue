<script setup lang="ts">
import { present } from '../../../core/sure'
import ProblemList from '../../../components/ProblemList.vue'
import { useCharts } from '../../../stores/charts'
import { useImport } from './importing'

/** Why a file was refused, record by record; or which of two charts to keep. */
const { report, close } = useImport()
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
  charts.tell('The chart is the imported one now. Undo brings the former back.')
}
</script>

<template>
  <el-dialog
    v-if="report"
    :model-value="true"
    :title="report.taken ? 'This chart is here already' : `${report.file} was not imported`"
    width="640"
    @close="close"
  >
    <template v-if="report.taken">
      <p>“{{ report.taken.title }}” has the same id as the chart in {{ report.file }}.</p>
      <p class="choices">
        <button type="button" class="button primary" @click="beside">Keep both</button>
        <button type="button" class="button" @click="over">Put it in place of mine (can be undone)</button>
        <button type="button" class="button quiet" @click="close">Do not import</button>
      </p>
    </template>
    <template v-else>
      <p>Nothing of yours was changed. What is wrong in the file:</p>
      <ProblemList :problems="report.problems ?? []" :most="40" />
    </template>
  </el-dialog>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
</style>
