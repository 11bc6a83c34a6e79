<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useCharts } from '../../../stores/charts'
import ClimbView from './climb/ClimbView.vue'
import { t } from '../../../words/slope'

/**
 * Our plan as it climbs, or everything that is charted: where that is asked for, or something of it, or where there is
 * nothing yet.
 */
const SlopeSheet = defineAsyncComponent(() => import('./SlopeSheet.vue'))
const route = useRoute()
const router = useRouter()
const charts = useCharts()
const VIEWS = [
  { value: 'plan', label: t('slope.ourPlan') },
  { value: 'all', label: t('slope.everything') },
] as const
const view = computed(() => {
  const { show, at, on } = route.query
  return show === 'all' || at || on || !charts.chart?.positions.length ? 'all' : 'plan'
})
const show = (to: string) => router.push({ path: '/slope', query: to === 'all' ? { show: 'all' } : {} })
</script>

<template>
  <div class="slope-view">
    <div class="views off-paper">
      <el-segmented
        :model-value="view"
        :options="VIEWS"
        :aria-label="t('slope.whatIsShown')"
        @update:model-value="show"
      />
      <div class="bar-of-plan" />
    </div>
    <ClimbView v-if="view === 'plan'" />
    <SlopeSheet v-else class="all" />
  </div>
</template>

<style scoped>
.slope-view {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.views {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-24);
  align-items: center;
  padding: var(--space-8) var(--space-16) 0;
}

.all {
  flex: 1;
  min-height: 0;
}
</style>
