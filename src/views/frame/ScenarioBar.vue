<script setup lang="ts">
import RowButton from '../../components/RowButton.vue'
import { ArrowDown, ArrowUp } from '@element-plus/icons-vue'
import { computed, defineAsyncComponent, onScopeDispose, ref } from 'vue'
import { useRouter } from 'vue-router'
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
/** Closed as soon as another screen is asked for: once that has come, the drawer may have been opened there. */
onScopeDispose(
  useRouter().beforeEach((to, from) => {
    if (to.path !== from.path) isOpen.value = false
  }),
)
const said = computed(() => scenarioShort(present(charts.chart), charts.isFlipped))
</script>

<template>
  <section class="bar off-paper" :aria-label="t('common.scenario')">
    <RowButton
      class="line"
      :aria-expanded="isOpen"
      :data-tip="t('frame.whatEveryFigureDependsOn')"
      @click="isOpen = !isOpen"
    >
      <span class="label">{{ t('common.scenario') }}</span>
      <span class="says" data-test="scenario"
        ><b v-if="said.name">{{ said.name }}: </b>{{ said.says }}</span
      >
      <component :is="isOpen ? ArrowUp : ArrowDown" class="icon" />
    </RowButton>
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
  align-items: center;
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

/* Two lines of what it says, rather than its heading and half of it. */
@media (width < 768px) {
  .label {
    display: none;
  }

  .says {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    font-size: var(--type-body);
    white-space: normal;
  }
}

.line:hover .says {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
