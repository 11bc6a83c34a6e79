<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { defineAsyncComponent } from 'vue'
import { wantEstimates } from '../../stores/wantEstimates'
import ScenarioFields from './ScenarioFields.vue'
import KeptScenarios from './KeptScenarios.vue'
import { t } from '../../words'

/** All of the scenario, beside the screen whose figures follow it. */
const emit = defineEmits<{ close: [] }>()
/** Fetched where there is a club. */
const WhoAgainst = defineAsyncComponent(() => import('../parts/club/WhoAgainst.vue'))
const hasClub = wantEstimates() !== null

// A list that has the focus keeps Escape to itself even when it is closed, and then the drawer would not hear it.
useEventListener(
  document,
  'keydown',
  ({ key }) => {
    const drawer = document.activeElement?.closest('.scenario-drawer')
    if (key === 'Escape' && drawer && !drawer.querySelector('[aria-expanded="true"]')) emit('close')
  },
  { capture: true },
)
</script>

<template>
  <el-drawer
    :model-value="true"
    :title="t('common.scenario')"
    :modal="false"
    modal-penetrable
    :lock-scroll="false"
    size="min(400px, 100vw)"
    modal-class="scenario-drawer"
    @close="emit('close')"
  >
    <KeptScenarios />
    <ScenarioFields />
    <WhoAgainst v-if="hasClub" />
  </el-drawer>
</template>

<style>
/* Under the bar, so that the worth stays in view. */
.scenario-drawer .el-drawer {
  top: var(--bar);
  height: calc(100% - var(--bar));
}

.scenario-drawer .el-drawer__header {
  margin: 0;
  padding: var(--space-16) var(--space-16) 0;
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  color: var(--ink);
}

.scenario-drawer .el-drawer__body {
  display: grid;
  align-content: start;
  gap: var(--space-16);
  padding: var(--space-16);
}
</style>
