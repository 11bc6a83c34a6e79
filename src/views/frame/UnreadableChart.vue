<script setup lang="ts">
import { present } from '../../core/sure'
import { computed } from 'vue'
import { CHART_KIND } from '../../core/chart/chartKind'
import { fileName } from '../../core/files/fileKinds'
import ProblemList from '../../components/ProblemList.vue'
import { useCharts } from '../../stores/charts'
import { downloadJson } from '../parts/files/download'
import { t } from '../../words'

/** A chart that is kept and cannot be opened: why, and how to get it out. Nothing of it is changed. */
const charts = useCharts()
const unreadable = computed(() => charts.unreadable)
const close = () => (charts.unreadable = null)
const save = () =>
  downloadJson(present(unreadable.value).text, fileName(CHART_KIND, present(unreadable.value).id, 'as-kept'))
</script>

<template>
  <el-dialog
    v-if="unreadable"
    :model-value="true"
    :title="t('frame.thisChartCannotBeOpened')"
    width="640"
    @close="close"
  >
    <p>{{ t('frame.itStaysInThisBrowserAs') }}</p>
    <ProblemList :problems="unreadable.problems" :most="12" />
    <p class="choices">
      <el-button type="primary" @click="save">{{ t('frame.saveItAsAFileAs') }}</el-button>
    </p>
  </el-dialog>
</template>
