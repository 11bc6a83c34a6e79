<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { scenarioShort } from '../parts/print/scenarioLine'
import HeadlineWorth from './HeadlineWorth.vue'
import { t } from '../../words'

/** The scenario in one line, which opens it, and what the start is worth in it. */
const charts = useCharts()
/** Loaded on demand: its lists are large, and it is seldom open. */
const ScenarioDrawer = defineAsyncComponent(() => import('./ScenarioDrawer.vue'))
const isOpen = ref(false)
const said = computed(() => scenarioShort(present(charts.chart), charts.isFlipped))
</script>

<template>
  <section class="bar" :aria-label="t('common.scenario')">
    <button
      type="button"
      class="plain line"
      :aria-expanded="isOpen"
      :title="t('frame.whatEveryFigureDependsOn')"
      @click="isOpen = !isOpen"
    >
      <span class="label">{{ t('common.scenario') }}</span>
      <span class="says" data-test="scenario"
        ><b v-if="said.name">{{ said.name }}: </b>{{ said.says }}</span
      >
      <span class="more" aria-hidden="true">{{ isOpen ? '▴' : '▾' }}</span>
    </button>
    <HeadlineWorth />
  </section>
  <ScenarioDrawer v-if="isOpen" @close="isOpen = false" />
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: var(--space-16);
  height: var(--bar);
  padding: 0 var(--space-16);
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}

.line {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, auto) auto;
  justify-content: start;
  gap: 0 var(--space-8);
  min-width: 0;
  min-height: var(--control);
}

.label {
  grid-column: 1 / -1;
}

.says {
  overflow: hidden;
  font: var(--type-lead) / 1.3 var(--label);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.line:hover .says {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
