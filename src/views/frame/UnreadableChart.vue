<script setup lang="ts">
import { present } from '../../core/get'
import { computed } from 'vue'
import { CHART_KIND } from '../../core/chart/chartKind'
import { fileName } from '../../core/files/fileKinds'
import { problemText } from '../../core/problem'
import { useCharts } from '../../stores/charts'
import { downloadJson } from '../parts/files/download'

/** A chart that is kept and cannot be opened: why, and how to get it out. Nothing of it is changed. */
const charts = useCharts()
const unreadable = computed(() => charts.unreadable)
const MAX_PROBLEMS = 12
const close = () => (charts.unreadable = null)
const save = () =>
  downloadJson(present(unreadable.value).text, fileName(CHART_KIND, present(unreadable.value).id, 'as-kept'))
</script>

<template>
  <el-dialog v-if="unreadable" :model-value="true" title="This chart cannot be opened" width="640" @close="close">
    <p>It stays in this browser as it is. What is wrong in it:</p>
    <ul class="problems">
      <li v-for="(problem, i) in unreadable.problems.slice(0, MAX_PROBLEMS)" :key="i">{{ problemText(problem) }}</li>
    </ul>
    <p v-if="unreadable.problems.length > MAX_PROBLEMS" class="muted">
      and {{ unreadable.problems.length - MAX_PROBLEMS }} more.
    </p>
    <p class="choices">
      <button type="button" class="button primary" @click="save">Save it as a file, as it is kept</button>
    </p>
  </el-dialog>
</template>

<style scoped>
.problems {
  max-height: 45vh;
  overflow: auto;
  margin: 8px 0 14px;
  overflow-wrap: anywhere;
}
</style>
