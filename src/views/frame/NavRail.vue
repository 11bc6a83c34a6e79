<script setup lang="ts">
import { useNow, useToggle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { savedText } from '../../core/say/figureText'
import { useCharts } from '../../stores/charts'
import { useTheme } from './theme'
import { t } from '../../words'

const emit = defineEmits<{ palette: []; shortcuts: [] }>()
const charts = useCharts()
const route = useRoute()
const isDark = useTheme()
const toggleDark = useToggle(isDark)
const now = useNow({ interval: 30_000 })

/** `also`: another path of the same screen. */
interface Screen {
  to: string
  name: string
  also?: string
}

const GROUPS: { name: string; screens: Screen[] }[] = [
  {
    name: t('frame.plan'),
    screens: [
      { to: '/desk', name: t('common.desk') },
      { to: '/slope', name: t('frame.slope') },
      { to: '/worksheet', name: t('common.worksheet') },
      { to: '/runs', name: t('common.runs') },
      { to: '/holds', name: t('common.holds'), also: '/score' },
    ],
  },
  {
    name: t('frame.keep'),
    screens: [
      { to: '/shelf', name: t('frame.shelf') },
      { to: '/rules', name: t('common.rules') },
      { to: '/charts', name: t('common.charts') },
    ],
  },
]
const isHere = ({ to, also }: Screen) => [to, also].some((path) => path && route.path.startsWith(path))

/** Of all charts, not only of the one that is open. */
const saved = computed(() => {
  const { saving, unsaved } = charts
  if (saving.state === 'saving') return t('frame.saving')
  if (saving.state !== 'saved') return t('frame.notSaved')
  const left = unsaved.filter(({ id }) => id !== charts.chart?.id)
  if (left.length) return t('frame.chartsNotSaved', { charts: t('count.chart', left.length) })
  return saving.at ? t('frame.savedAt', { at: savedText(saving.at, now.value.getTime()) }) : ''
})
</script>

<template>
  <nav :aria-label="t('frame.screens')">
    <RouterLink to="/desk" class="name">{{ t('frame.ataque') }}</RouterLink>
    <section v-for="group in GROUPS" :key="group.name">
      <h2>{{ group.name }}</h2>
      <RouterLink
        v-for="screen in group.screens"
        :key="screen.to"
        :to="screen.to"
        :class="{ here: isHere(screen) }"
        :aria-current="isHere(screen) ? 'page' : undefined"
        >{{ screen.name }}</RouterLink
      >
    </section>
    <div class="foot">
      <button type="button" class="plain" :title="t('frame.findAnythingCtrlK')" @click="emit('palette')">
        {{ t('frame.find') }}
      </button>
      <button
        type="button"
        class="plain"
        :disabled="!charts.steps.undo"
        :title="charts.steps.undo ? t('frame.undoUndoCtrlZ', { undo: charts.steps.undo }) : t('frame.nothingToUndo')"
        @click="charts.undo()"
      >
        {{ t('frame.undo') }}
      </button>
      <button
        type="button"
        class="plain"
        :disabled="!charts.steps.redo"
        :title="
          charts.steps.redo ? t('frame.redoRedoCtrlShiftZ', { redo: charts.steps.redo }) : t('frame.nothingToRedo')
        "
        @click="charts.redo()"
      >
        {{ t('frame.redo') }}
      </button>
      <button type="button" class="plain" @click="toggleDark()">
        {{ isDark ? t('frame.light') : t('frame.dark') }}
      </button>
      <button type="button" class="plain" :title="t('frame.shortcuts')" @click="emit('shortcuts')">
        {{ t('frame.keys') }}
      </button>
      <p v-if="charts.chart" class="saved" role="status" data-test="saved">{{ saved }}</p>
      <button v-if="charts.unsaved.length" type="button" class="plain retry" @click="charts.retry()">
        {{ t('frame.tryAgain') }}
      </button>
    </div>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-direction: column;
  gap: var(--space-16);
  padding: var(--space-16) 0 var(--space-12);
  background: var(--rail);
  color: var(--rail-ink);
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  overflow-y: auto;
}

.name {
  padding: 0 var(--space-12);
  color: var(--rail-strong);
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  text-decoration: none;
}

h2 {
  padding: 0 var(--space-12) var(--space-4);
  font: var(--type-body) / 1.3 var(--label);
}

section a {
  display: block;
  padding: var(--space-8) var(--space-8) var(--space-8) var(--space-8);
  border-left: 4px solid transparent;
  text-decoration: none;
}

section a:hover,
.foot button:not(:disabled):hover {
  color: var(--rail-strong);
}

.here {
  border-color: var(--rail-mark);
  background: var(--rail-here);
  color: var(--rail-strong);
}

.foot {
  display: grid;
  gap: var(--space-4);
  margin-top: auto;
  padding: 0 var(--space-12);
  font-size: var(--type-body);
}

.foot button {
  padding: var(--space-4) 0;
}

.foot button:disabled {
  opacity: 0.45;
  cursor: default;
}

.saved {
  margin-top: var(--space-8);
  font: var(--type-body) / 1.25 var(--label);
}

.foot .retry {
  color: var(--rail-caution);
}

:focus-visible {
  outline-color: var(--rail-mark);
  outline-offset: -2px;
}
</style>
