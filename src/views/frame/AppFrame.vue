<script setup lang="ts">
import { useEventListener, useTitle } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useCharts } from '../../stores/charts'
import { provideAsking } from '../parts/figures/ask'
import ExplainPopover from '../parts/figures/ExplainPopover.vue'
import CommandPalette from './CommandPalette.vue'
import FileDrop from './FileDrop.vue'
import NavRail from './NavRail.vue'
import NewsBar from './NewsBar.vue'
import RefusalNote from './RefusalNote.vue'
import WelcomePanel from './WelcomePanel.vue'
import { shortcutOf } from './shortcuts'
import { t } from '../../words'

/** Loaded on demand: its lists are large, and without a chart there is no scenario. */
const ScenarioBar = defineAsyncComponent(() => import('./ScenarioBar.vue'))
/** Loaded on demand: they are seldom opened. */
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'))
const UnreadableChart = defineAsyncComponent(() => import('./UnreadableChart.vue'))

const charts = useCharts()
provideAsking()
const isPaletteOpen = ref(false)
const isSheetOpen = ref(false)
useTitle(computed(() => (charts.chart ? t('frame.chartAtaque', { chart: charts.chart.title }) : 'Ataque')))

const ACTIONS: Record<string, () => void> = {
  undo: () => charts.undo(),
  redo: () => charts.redo(),
  palette: () => (isPaletteOpen.value = true),
  shortcuts: () => (isSheetOpen.value = true),
}

/** The browser asks before what is not kept goes with the tab. */
useEventListener(window, 'beforeunload', (event) => {
  if (charts.unsaved.length) event.preventDefault()
})

useEventListener(document, 'keydown', (event) => {
  const action = shortcutOf(event)
  if (!action || !ACTIONS[action]) return
  event.preventDefault()
  ACTIONS[action]()
})
</script>

<template>
  <a class="skip button" href="#screen">{{ t('frame.toTheScreen') }}</a>
  <div class="frame">
    <NavRail @palette="isPaletteOpen = true" @shortcuts="isSheetOpen = true" />
    <div class="right">
      <ScenarioBar v-if="charts.chart?.positions.length" />
      <NewsBar />
      <main id="screen" tabindex="-1">
        <RouterView v-if="charts.isReady" v-slot="{ Component, route }">
          <WelcomePanel v-if="route.meta.needsChart && !charts.chart" />
          <component :is="Component" v-else :key="route.meta.needsChart ? charts.chart?.id : undefined" />
        </RouterView>
      </main>
    </div>
  </div>
  <ExplainPopover />
  <CommandPalette v-if="isPaletteOpen" @close="isPaletteOpen = false" @shortcuts="isSheetOpen = true" />
  <ShortcutSheet v-if="isSheetOpen" @close="isSheetOpen = false" />
  <FileDrop />
  <UnreadableChart v-if="charts.unreadable" />
  <RefusalNote />
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 88px minmax(0, 1fr);
  height: 100%;
}

.right {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}

main {
  flex: 1;
  min-height: 0;
  overflow: auto;
}

main:focus {
  outline: none;
}

.skip {
  position: fixed;
  z-index: 50;
  left: 8px;
  top: -60px;
}

.skip:focus {
  top: 8px;
}
</style>
