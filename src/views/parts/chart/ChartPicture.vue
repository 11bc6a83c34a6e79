<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart as ChartJs,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { Chart } from 'vue-chartjs'
import { useTheme } from '../../../stores/theme'
import { drawingOf, readInk } from './drawing'
import { heightOf, type ChartData } from './picture'
import { t } from '../../../words'

ChartJs.register(
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
)

/**
 * A picture of figures in our colours, light, dark and on paper, with the same as a table for readers. `say`: a figure
 * in words.
 */
const props = defineProps<{ title: string; data: ChartData; say: (value: number) => string }>()
const isDark = useTheme()
const isOnPaper = useMediaQuery('print')
const isTable = ref(false)
const ink = ref(readInk())
watch([isDark, isOnPaper], async () => {
  await nextTick()
  ink.value = readInk()
})
const drawing = computed(() => drawingOf(props.data, ink.value, props.say))
const rows = computed(() =>
  props.data.labels.map((label, i) => ({
    label,
    cells: props.data.series.map(({ values }) => {
      const value = values[i]
      if (typeof value === 'number') return props.say(value)
      return value ? t('chart.fromTo', { from: props.say(value[0]), to: props.say(value[1]) }) : '–'
    }),
  })),
)
const height = computed(() => heightOf(props.data))
</script>

<template>
  <figure class="chart">
    <figcaption>{{ title }}</figcaption>
    <div class="canvas" :style="{ height: `${height}px` }">
      <Chart :type="drawing.type" :data="drawing.data" :options="drawing.options" role="img" :aria-label="title" />
    </div>
    <el-button class="off-paper" link :aria-expanded="isTable" @click="isTable = !isTable">{{
      t('chart.asATable')
    }}</el-button>
    <div :class="isTable ? 'table' : 'readers-only'" :tabindex="isTable ? 0 : undefined">
      <table>
        <caption class="readers-only">
          {{
            title
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ data.along }}</th>
            <th v-for="{ name } in data.series" :key="name" scope="col">{{ name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ label, cells } in rows" :key="label">
            <th scope="row">{{ label }}</th>
            <td v-for="(cell, i) in cells" :key="i">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </figure>
</template>

<style scoped>
.chart {
  position: relative;
  margin: 0;
  width: 100%;
  min-width: 0;
}

figcaption {
  margin-bottom: var(--space-8);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.canvas {
  position: relative;
  min-width: 0;
}

.table {
  overflow-x: auto;
}

th,
td {
  padding: var(--space-4) var(--space-12) var(--space-4) 0;
  border-bottom: 1px solid var(--line);
  font-size: var(--type-body);
  text-align: left;
}

@media print {
  .chart {
    break-inside: avoid;
  }

  .canvas {
    max-width: 100%;
  }

  .canvas :deep(canvas) {
    max-width: 98%;
    height: auto !important;
  }

  div.readers-only {
    position: static;
    width: auto;
    height: auto;
    margin: 0;
    clip-path: none;
    overflow: visible;
    white-space: normal;
  }
}
</style>
