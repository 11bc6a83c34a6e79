<script setup lang="ts">
import { computed } from 'vue'
import { FOOT } from '../../../core/chart/bands'
import { letGo, orderBands } from '../../../core/chart/edits/slope'
import { CREST } from '../../../core/slope/graph'
import { useCharts } from '../../../stores/charts'
import { useSlope } from './slope'

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
  charts.edit(`Move the band ${name}`, (draft) => orderBands(draft, keys))
}
</script>

<template>
  <section aria-label="Order of rows">
    <h2>Order of rows</h2>
    <p class="muted small">From the crest down. The order is kept with the chart.</p>
    <ul>
      <li v-for="{ key, name, places } in graph.bands" :key="key">
        <label>
          <input type="checkbox" :checked="!folded.has(key)" :aria-label="`Show ${name}`" @change="toggleFold(key)" />
          {{ name }} <span class="muted">{{ places.length }}</span>
        </label>
        <span v-if="!isFixed(key)">
          <button type="button" class="button quiet" :aria-label="`${name} up`" @click="shift(key, name, -1)">↑</button>
          <button type="button" class="button quiet" :aria-label="`${name} down`" @click="shift(key, name, 1)">
            ↓
          </button>
        </span>
      </li>
    </ul>
    <button
      v-if="byHand"
      type="button"
      class="button"
      @click="charts.edit('Let go of what was put by hand', (draft) => letGo(draft))"
    >
      Let go of the {{ byHand }} put by hand
    </button>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}

li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--line);
}

li .button {
  min-height: 26px;
}
</style>
