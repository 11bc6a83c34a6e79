<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { downloadChart } from '../parts/files/importing'
import { downloadJson } from '../parts/files/download'

/** What is not kept, why, and what the coach can do so that it is not lost. */
const charts = useCharts()
const isRead = ref(false)
watch(
  () => charts.trouble,
  () => (isRead.value = false),
)

const failure = computed(() => (charts.saving.state === 'failed' && !charts.trouble ? charts.saving.message : ''))
/** Charts that were left with something that is not kept. */
const left = computed(() => charts.unsaved.filter(({ id }) => id !== charts.chart?.id))

const why = ({ saving }: (typeof left.value)[number]) => (saving.state === 'failed' ? `: ${saving.message}` : '')

const exportChart = () => charts.chart && downloadChart(charts.exportText(), charts.chart.id)
const exportAll = async () => downloadJson(await charts.everythingKept(), 'ataque-as-kept.json')
const reload = () => location.reload()
</script>

<template>
  <div v-if="charts.trouble && !isRead" class="news warning" role="alert">
    <span v-if="charts.trouble.trouble === 'missing'">
      Nothing can be kept: {{ charts.trouble.message }}. What you do here lasts as long as this page: export it.
    </span>
    <span v-else>What is kept cannot be opened: {{ charts.trouble.message }}.</span>
    <button v-if="charts.trouble.trouble === 'newer'" type="button" class="button" @click="reload()">Reload</button>
    <button v-else type="button" class="button" @click="charts.retry()">Try again</button>
    <button v-if="charts.trouble.trouble === 'newer'" type="button" class="button" @click="exportAll()">
      Save all that is kept as a file
    </button>
    <button v-if="charts.chart" type="button" class="button" @click="exportChart()">Export this chart</button>
    <button type="button" class="plain" aria-label="Close" @click="isRead = true">×</button>
  </div>
  <div v-if="charts.saving.state === 'forgotten'" class="news warning" role="alert">
    <span>Another tab has forgotten this chart for good. What you see lasts as long as this page.</span>
    <button type="button" class="button" @click="charts.keepAsNew()">Keep it as a new chart</button>
    <button type="button" class="button" @click="charts.letGo()">Let it go</button>
  </div>
  <div v-if="failure" class="news warning" role="alert">
    <span>This change is not saved yet: {{ failure }}. It is tried again by itself; you can go on.</span>
    <button type="button" class="button" @click="charts.retry()">Try now</button>
    <button type="button" class="button" @click="exportChart()">Export</button>
  </div>
  <div v-if="left.length && !charts.trouble" class="news warning" role="alert">
    <span>Not saved{{ why(present(left[0])) }}.</span>
    <button v-for="{ id, title } in left" :key="id" type="button" class="button" @click="charts.open(id)">
      {{ title }}
    </button>
    <button type="button" class="button" @click="charts.retry()">Try now</button>
  </div>
</template>
