<script setup lang="ts">
import { hundred } from '../../../core/say/figureText'
import { sayCloseAt, sayRange } from '../../../core/say/range'
import { useCharts } from '../../../stores/charts'
import { useRange } from '../../../stores/range'
import { t } from '../../../words/runs'

/** How sure the plan is, the tries being guesses: the range, and the places in which it is too close to call. */
const charts = useCharts()
const store = useRange()
</script>

<template>
  <section class="panel" :aria-label="t('runs.howSure')">
    <h2>{{ t('runs.howSure') }}</h2>
    <p class="muted small">
      {{ t('runs.yourFiguresCouldBeOffHere') }}
    </p>
    <p v-if="store.progress !== null" role="status" class="working">
      <progress :value="store.progress" :aria-label="t('runs.howFarTheSamplesAre')" />
      {{ Math.round(store.progress * 100) }} %
      <el-button text @click="store.stop()">{{ t('common.stop') }}</el-button>
    </p>
    <el-button v-else-if="!store.range" type="primary" @click="store.ask()">
      {{ t('runs.workOutTheRange') }}
    </el-button>
    <template v-else>
      <p class="says">{{ sayRange(store.range, hundred).join(' ') }}</p>
      <template v-if="store.range.close.length">
        <h3>{{ t('runs.tooCloseToCall') }}</h3>
        <ul>
          <li v-for="close in store.range.close" :key="close.position">
            <RouterLink :to="`/worksheet/${close.position}`">{{ sayCloseAt(charts.chart!, close) }}</RouterLink>
          </li>
        </ul>
      </template>
      <p v-else>{{ t('runs.whatIsBestIsClearIn') }}</p>
    </template>
  </section>
</template>

<style scoped src="./panel.css"></style>

<style scoped>
.says {
  font-size: var(--type-lead);
}

.working {
  display: flex;
  align-items: center;
  gap: var(--space-12);
}

h3 {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}
</style>
