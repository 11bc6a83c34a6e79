<script setup lang="ts">
import { useColorMode } from '@vueuse/core'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import PickList from '../../../components/PickList.vue'
import { WORD_PAIRS } from '../../../core/sides/vocabulary'
import { entriesOf } from '../../../core/typed'
import { useCharts } from '../../../stores/charts'
import { useSettings } from '../../../stores/settings'
import { language, LANGUAGES, speak } from '../../../words'
import { t } from '../../../words/settings'
import { THEME_KEY } from '../../../stores/theme'
import SideWords from '../../parts/body/SideWords.vue'
import BackupPanel from './BackupPanel.vue'
import ConnectionLacks from './ConnectionLacks.vue'

/** How one likes to read and to press, in this browser; and how the open chart says its sides. */
const settings = useSettings()
const charts = useCharts()
const { store: theme } = useColorMode({ storageKey: THEME_KEY, disableTransition: false })
const THEMES = [
  { value: 'auto', label: t('settings.asTheSystem') },
  { value: 'light', label: t('frame.light') },
  { value: 'dark', label: t('frame.dark') },
] as const
const DENSITIES = [
  { value: 'roomy', label: t('settings.roomy') },
  { value: 'close', label: t('settings.close') },
]
const TIMES = [
  { value: 'minutes', label: t('settings.minutes') },
  { value: 'seconds', label: t('settings.seconds') },
]
const PAPERS = [
  { value: 'printer', label: t('settings.asThePrinter') },
  { value: 'A4', label: t('settings.a4') },
  { value: 'letter', label: t('settings.letter') },
]
/** A week at least, ten years at most. */
const setHalfLife = (days: number) => (settings.value.halfLife = Math.max(7, Math.min(3650, Math.round(days) || 180)))
const languages = entriesOf(LANGUAGES).map(([value, label]) => ({ value, label }))
</script>

<template>
  <div class="settings">
    <h1>{{ t('frame.settings') }}</h1>
    <section class="panel" :aria-label="t('settings.theScreen')">
      <h2>{{ t('settings.theScreen') }}</h2>
      <div class="field-row">
        <span id="theme" class="label">{{ t('settings.theme') }}</span>
        <el-segmented v-model="theme" :options="[...THEMES]" aria-labelledby="theme" />
      </div>
      <div class="field-row">
        <span id="density" class="label">{{ t('settings.density') }}</span>
        <el-segmented v-model="settings.density" :options="DENSITIES" aria-labelledby="density" />
      </div>
      <div class="field-row">
        <span class="label">{{ t('settings.language') }}</span>
        <PickList
          :value="language"
          :options="languages"
          :aria-label="t('settings.language')"
          @change="(picked) => speak(picked)"
        />
        <p class="muted small">{{ t('settings.whatIsTranslated') }}</p>
      </div>
    </section>
    <section class="panel" :aria-label="t('settings.timesAndPaper')">
      <h2>{{ t('settings.timesAndPaper') }}</h2>
      <div class="field-row">
        <span id="times" class="label">{{ t('settings.times') }}</span>
        <el-segmented v-model="settings.time" :options="TIMES" aria-labelledby="times" />
      </div>
      <div class="field-row">
        <span id="paper" class="label">{{ t('settings.paper') }}</span>
        <el-segmented v-model="settings.paper" :options="PAPERS" aria-labelledby="paper" />
      </div>
    </section>
    <section class="panel" :aria-label="t('frame.keys')">
      <h2>{{ t('frame.keys') }}</h2>
      <div class="field-row">
        <el-switch v-model="settings.singleKeys" :aria-label="t('settings.singleKeys')" />
        <span>{{ t('settings.singleKeys') }}</span>
        <p class="muted small">{{ t('settings.whySingleKeys') }}</p>
      </div>
    </section>
    <section class="panel" :aria-label="t('settings.theLog')">
      <h2>{{ t('settings.theLog') }}</h2>
      <label class="field-row">
        <span>{{ t('settings.countsHalfAfter') }}</span>
        <SteadyInput
          type="number"
          class="days"
          min="7"
          max="3650"
          :value="settings.halfLife"
          @change="(event) => setHalfLife(numberOf(event))"
        />
        <span>{{ t('settings.days') }}</span>
      </label>
      <p class="muted small">{{ t('settings.whyItFades') }}</p>
    </section>
    <section v-if="charts.chart" class="panel" :aria-label="t('settings.sideWords')">
      <h2>{{ t('settings.sideWords') }}</h2>
      <p class="muted small">{{ t('settings.sideWordsAreOfTheChart', { chart: charts.chart.title }) }}</p>
      <details>
        <summary>{{ t('settings.howWeSayThem') }}</summary>
        <div class="words">
          <SideWords v-slot="{ pair }" :pairs="WORD_PAIRS">
            <span class="label">{{ pair.join(' / ') }}</span>
          </SideWords>
        </div>
      </details>
    </section>
    <BackupPanel />
    <ConnectionLacks />
  </div>
</template>

<style scoped>
.settings {
  columns: 420px;
  column-gap: var(--space-16);
  padding: var(--space-16);
}

h1 {
  margin-bottom: var(--space-16);
  column-span: all;
}

.panel {
  display: grid;
  margin-bottom: var(--space-16);
  break-inside: avoid;
  gap: var(--space-12);
  padding: var(--space-16);
}

.days {
  width: 96px;
}

.field-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
  align-items: center;
}

.field-row .label {
  min-width: 92px;
}

.field-row p {
  flex-basis: 100%;
}

.el-select {
  width: 180px;
}

.words {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  margin-top: var(--space-8);
}
</style>
