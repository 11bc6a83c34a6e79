<script setup lang="ts">
import { ArrowDown, ArrowUp } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { computed } from 'vue'
import { FOOT } from '../../../core/chart/bands'
import { letGo, orderBands } from '../../../core/chart/edits/slope'
import { CREST } from '../../../core/slope/graph'
import { useCharts } from '../../../stores/charts'
import { useSlope } from './slope'
import { t } from '../../../words/slope'

/** The bands from the crest down: their order is the chart's, and each can be folded. */
const { chart, graph, folded, toggleFold } = useSlope()
const charts = useCharts()
const isFixed = (key: string) => key === CREST || key === FOOT
const movable = computed(() => graph.value.bands.filter(({ key }) => !isFixed(key)).map(({ key }) => key))
const byHand = computed(() => Object.keys(chart.value.settings?.slope?.places ?? {}).length)

function shift(key: string, name: string, by: -1 | 1) {
  const keys = [...movable.value]
  const i = keys.indexOf(key)
  const other = keys[i + by]
  if (!other) return
  keys.splice(i + by, 1, key)
  keys.splice(i, 1, other)
  charts.edit(t('slope.moveTheBandName', { name }), (draft) => orderBands(draft, keys))
}
</script>

<template>
  <section :aria-label="t('slope.orderOfRows')">
    <h2>{{ t('slope.orderOfRows') }}</h2>
    <p class="muted small">{{ t('slope.fromTheCrestDownTheOrder') }}</p>
    <ul>
      <li v-for="{ key, name, places } in graph.bands" :key="key">
        <el-checkbox
          :model-value="!folded.has(key)"
          :aria-label="t('slope.showName', { name })"
          @change="toggleFold(key)"
        >
          {{ name }} <span class="muted">{{ places.length }}</span></el-checkbox
        >
        <span v-if="!isFixed(key)">
          <IconButton :icon="ArrowUp" :name="t('common.runUp', { run: name })" @click="shift(key, name, -1)" />
          <IconButton :icon="ArrowDown" :name="t('common.nameDown', { name })" @click="shift(key, name, 1)" />
        </span>
      </li>
    </ul>
    <el-button v-if="byHand" @click="charts.edit(t('slope.letGoOfWhatWasPut'), (draft) => letGo(draft))">
      {{ t('slope.letGoOfTheByHand', { byHand }) }}
    </el-button>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-12);
}

li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: var(--control);
  border-bottom: 1px solid var(--line);
}

li .el-button {
  min-height: var(--control);
}
</style>
