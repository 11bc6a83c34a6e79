<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useRoute } from 'vue-router'
import { useFigures } from '../../../stores/figures'
import OfTheExchange from '../../parts/figures/OfTheExchange.vue'
import BeatenPanel from './BeatenPanel.vue'
import ChainSaid from './ChainSaid.vue'
import CurvesPanel from './CurvesPanel.vue'
import RoundSheets from './RoundSheets.vue'
import RunsTabs from './RunsTabs.vue'
import SideBySide from './SideBySide.vue'
import { t } from '../../../words/runs'

/** What is seldom asked is fetched when it is. */
const MatchPanel = defineAsyncComponent(() => import('./MatchPanel.vue'))
const WhatIf = defineAsyncComponent(() => import('./WhatIf.vue'))

/** The questions that a coach asks of the plan: the chain from here to a finish, said; how they would beat it. */
const figures = useFigures()
const route = useRoute()
const what = computed(() => String(route.params.what ?? ''))
const OF_THE_EXCHANGE = ['beat', 'pictures', 'what-if', 'side-by-side']
</script>

<template>
  <div class="runs">
    <RunsTabs :at="what" />
    <template v-if="figures.figures">
      <OfTheExchange v-if="OF_THE_EXCHANGE.includes(what)" />
      <BeatenPanel v-if="what === 'beat'" />
      <RoundSheets v-else-if="what === 'rounds'" />
      <CurvesPanel v-else-if="what === 'pictures'" />
      <MatchPanel v-else-if="what === 'match'" />
      <WhatIf v-else-if="what === 'what-if'" />
      <SideBySide v-else-if="what === 'side-by-side'" />
      <ChainSaid v-else />
    </template>
    <template v-else>
      <h1>{{ t('common.runs') }}</h1>
      <p class="muted">{{ t('runs.thereIsNothingToSayYet') }}</p>
    </template>
  </div>
</template>

<style scoped>
/** Contains what is for screen readers only, which would otherwise lengthen the page behind the frame. */
.runs {
  position: relative;
  display: grid;
  gap: var(--space-12);
  max-width: 1240px;
  padding: var(--space-12) var(--space-24) var(--space-32);
}

@media (width >= 1600px) {
  .runs {
    max-width: none;
  }
}

@media (width < 768px) {
  .runs {
    padding-inline: var(--space-12);
  }
}
</style>
