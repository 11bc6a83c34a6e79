<script setup lang="ts">
import { present } from '../../../core/get'
import { computed } from 'vue'
import { problemText } from '../../../core/problem'
import { useCharts } from '../../../stores/charts'
import { useImport } from './importing'

/** Why a file was refused, record by record; or which of two charts to keep. */
const { report, close } = useImport()
const charts = useCharts()
const MAX_PROBLEMS = 40
const problems = computed(() => report.value?.problems ?? [])

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
      <ul class="problems" data-test="problems">
        <li v-for="(problem, i) in problems.slice(0, MAX_PROBLEMS)" :key="i">{{ problemText(problem) }}</li>
      </ul>
      <p v-if="problems.length > MAX_PROBLEMS" class="muted">and {{ problems.length - MAX_PROBLEMS }} more.</p>
    </template>
  </el-dialog>
</template>

<style scoped>
.problems {
  max-height: 45vh;
  overflow: auto;
  margin-top: 8px;
}

.problems li {
  padding: 4px 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}

.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
</style>
