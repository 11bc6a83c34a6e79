<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { hundred } from '../../../core/say/figureText'
import { sayCloseAt, sayRange } from '../../../core/say/range'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import { useRange } from '../../../stores/range'
import { t } from '../../../words/runs'

/** How sure the plan is, the tries being guesses: the range, and the places in which it is too close to call. */
const charts = useCharts()
const store = useRange()
const figures = useFigures()
/** Half as wide as the mark of today's figure is drawn, in worth. */
const MARK = 0.003
/** The range as a strip, with today's figure on it. */
const strip = computed((): ChartData | null => {
  const [range, value] = [store.range, figures.figures?.value]
  if (!range || value === undefined) return null
  return {
    ...{ kind: 'bars', isAcross: true, isFree: true, along: t('common.worth') },
    labels: [t('runs.keepingToThePlan'), t('runs.bestForEach')],
    series: [
      {
        ...{ name: t('runs.eightOfTen'), token: 'track', isOver: true },
        values: [range.kept, range.best].map(({ low, high }) => [low, high] as const),
      },
      {
        ...{ name: t('runs.todaysFigure'), token: 'leak', isOver: true },
        values: [0, 1].map(() => [value - MARK, value + MARK] as const),
      },
    ],
  }
})
const RANKS = ['ours', 'trap', 'track'] as const
/** In how many of the samples which move is best, where no one is. */
const ties = computed((): ChartData | null => {
  const { chart } = charts
  const close = store.range?.close ?? []
  if (!chart || !close.length) return null
  const nameOf = (move: string) =>
    move === 'wait' ? t('runs.holdStill') : (lookUp(chart.moves, move)?.name ?? t('common.nothing'))
  return {
    ...{ kind: 'bars', isAcross: true, isStacked: true, along: t('runs.position') },
    labels: close.map(({ position, best }) => {
      const first = best.slice(0, 2).map(({ move }) => nameOf(move))
      return `${lookUp(chart.positions, position)?.name ?? ''}: ${first.join(', ')}`
    }),
    series: [t('runs.theFirst'), t('runs.theSecond'), t('runs.allOthers')].map((name, i) => ({
      ...{ name, token: RANKS[i] ?? 'track' },
      values: close.map(({ best }) =>
        (i < 2 ? best.slice(i, i + 1) : best.slice(2)).reduce((sum, { share }) => sum + share, 0),
      ),
    })),
  }
})
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
      <LateChart v-if="strip" :title="t('runs.theRange')" :data="strip" :say="hundred" />
      <template v-if="store.range.close.length">
        <h3>{{ t('runs.tooCloseToCall') }}</h3>
        <LateChart v-if="ties" :title="t('runs.whatIsBestInTheSamples')" :data="ties" :say="hundred" />
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
