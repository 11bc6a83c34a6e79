<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { followTips, tipped } from '../../components/tips'
import { useRoute, useRouter } from 'vue-router'
import { useActing } from '../../stores/acting'
import { useCharts } from '../../stores/charts'
import { provideAsking } from '../parts/figures/ask'
import { useHasRail } from '../parts/layout/room'
import BottomBar from './BottomBar.vue'
import FileDrop from './FileDrop.vue'
import MessageLine from './MessageLine.vue'
import CommandPalette from './CommandPalette.vue'
import NavRail from './NavRail.vue'
import NewsBar from './NewsBar.vue'
import PaperFoot from './PaperFoot.vue'
import PaperHead from './PaperHead.vue'
import RefusalNote from './RefusalNote.vue'
import WelcomePanel from './WelcomePanel.vue'
import { useArriving } from './arriving'
import { useWaitsForFigures } from './firstFigures'
import { useLiking } from './liking'
import { noteTyping, shortcutOf } from './shortcuts'
import { useTheme } from '../../stores/theme'
import { t } from '../../words'

/** Loaded on demand: its lists are large, and without a chart there is no scenario. */
const ScenarioBar = defineAsyncComponent(() => import('./ScenarioBar.vue'))

/** Loaded on demand, once a figure is asked: the library's way to put it beside the figure is large. */
const ExplainPopover = defineAsyncComponent(() => import('../parts/figures/ExplainPopover.vue'))
/** Loaded on demand: they are seldom opened. */
const TipHost = defineAsyncComponent(() => import('../../components/TipHost.vue'))
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'))
const UnreadableChart = defineAsyncComponent(() => import('./UnreadableChart.vue'))

const charts = useCharts()
const acting = useActing()
const { anchor } = provideAsking()
const isAsked = ref(false)
watch(anchor, () => (isAsked.value = true))
followTips()
useLiking()
// On a phone, and where nothing is around a screen, nobody else asks for it.
useTheme()
noteTyping()
const hasRail = useHasRail()
/** The room of the bar is kept from the start where a chart will be opened. */
const hasBar = computed(() => (charts.isReady || charts.chart ? charts.chart?.positions.length : charts.isExpected))
const route = useRoute()
const router = useRouter()
/** Where one is, or is about to be where the page has just been opened. */
const at = computed(() => (route.matched.length ? route : router.resolve(location.hash.slice(1) || '/')))
const isWhole = computed(() => at.value.meta.isWhole)
/** The worth of the plan stands over what is about the plan, on paper too. */
const isOther = computed(() => at.value.meta.isWhole || at.value.path.startsWith('/sessions'))
/** What of it is on paper: on a page of somebody, no name of anybody else and nothing of the plan. */
const isOfPeople = computed(() => at.value.path.startsWith('/people'))
const isStudy = computed(() => ['/people/rivals', '/people/beside'].includes(at.value.path))
const isOfPlan = computed(() => !isOther.value && (!isOfPeople.value || isStudy.value))
const waits = useWaitsForFigures()
const screen = ref<HTMLElement>()
const isPaletteOpen = ref(false)
const isSheetOpen = ref(false)
const arrived = useArriving()

const ACTIONS: Record<string, () => void> = {
  undo: () => acting.undo(),
  redo: () => acting.redo(),
  palette: () => (isPaletteOpen.value = true),
  shortcuts: () => (isSheetOpen.value = true),
}

/** The browser asks before what is not kept goes with the tab. */
useEventListener(window, 'beforeunload', (event) => {
  if (acting.unsaved.length) event.preventDefault()
})

useEventListener(document, 'keydown', (event) => {
  const action = shortcutOf(event)
  if (!action || !ACTIONS[action]) return
  event.preventDefault()
  ACTIONS[action]()
})
</script>

<template>
  <el-button class="skip" @click="screen?.focus()">{{ t('frame.toTheScreen') }}</el-button>
  <p class="readers-only" aria-live="polite">{{ arrived }}</p>
  <div class="frame" :class="{ whole: isWhole }">
    <NavRail v-if="hasRail && !isWhole" @palette="isPaletteOpen = true" @shortcuts="isSheetOpen = true" />
    <div class="right">
      <div v-if="hasBar && !isOther" class="bar-room off-paper"><ScenarioBar v-if="charts.chart" /></div>
      <NewsBar />
      <PaperHead :is-of-plan="isOfPlan" :says-who="!isOfPeople" />
      <main id="screen" ref="screen" tabindex="-1">
        <RouterView v-if="charts.isReady" v-slot="{ Component, route: shown }">
          <WelcomePanel v-if="shown.meta.needsChart && !charts.chart" />
          <el-skeleton v-else-if="shown.meta.needsChart && waits" class="waits" :rows="8" />
          <component :is="Component" v-else :key="shown.meta.needsChart ? charts.chart?.id : undefined" />
        </RouterView>
      </main>
      <PaperFoot :is-of-plan="isOfPlan" />
      <MessageLine />
    </div>
    <BottomBar v-if="!hasRail && !isWhole" @palette="isPaletteOpen = true" @shortcuts="isSheetOpen = true" />
  </div>
  <ExplainPopover v-if="isAsked" />
  <TipHost v-if="tipped" />
  <CommandPalette v-if="isPaletteOpen" @close="isPaletteOpen = false" @shortcuts="isSheetOpen = true" />
  <ShortcutSheet v-if="isSheetOpen" @close="isSheetOpen = false" />
  <FileDrop />
  <UnreadableChart v-if="charts.unreadable" />
  <RefusalNote />
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  height: 100%;
}

.right {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}

/* Kept while the bar is fetched. */
.bar-room {
  flex: none;
  height: var(--bar);
  background: var(--panel);
}

.waits {
  padding: var(--space-24);
}

main {
  flex: 1;
  min-height: 0;
  overflow: auto;
}

main:focus {
  outline: none;
}

.whole {
  grid-template-columns: minmax(0, 1fr);
}

@media (width < 1024px) {
  .frame {
    grid-template-rows: minmax(0, 1fr) auto;
    grid-template-columns: minmax(0, 1fr);
  }
}

/* Where the screen is magnified until little of its height is left, all of it scrolls and no bar stays. */
@media (height < 480px) {
  .frame {
    height: auto;
    min-height: 100%;
  }

  main {
    overflow: visible;
  }
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
