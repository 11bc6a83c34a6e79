<script setup lang="ts">
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { stretchesOf, type CurvePoint } from '../../../core/questions/curves'
import { hundred, signed } from '../../../core/say/figureText'
import { shortGain } from '../../../core/say/gain'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { played } from '../../../stores/estimates'
import { useQuestion } from '../../../stores/questions'
import { timeText } from '../../../stores/settings'
import SheetHead from '../../parts/print/SheetHead.vue'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData, Series, Token } from '../../parts/chart/picture'
import { t } from '../../../words/runs'

/** What the start is worth under other clocks, readers and rules, and what drilling would bring, as pictures. */
const charts = useCharts()
const chart = computed(() => present(charts.chart))
const { answer: curves, progress } = useQuestion(() => ({ of: 'curves' as const }))
const { answer: gains } = useQuestion(() => ({ of: 'gains' as const }))
/** So many drills have room; a smaller gain is not drawn. */
const [MOST, LEAST] = [10, 0.0005]
const TOKENS: readonly Token[] = ['ours', 'trap', 'caution', 'leak', 'theirs', 'muted']

function nameOf(best: string | null): string {
  if (best === 'wait') return t('runs.holdStill')
  return lookUp(chart.value.moves, best ?? undefined)?.name ?? t('common.nothing')
}
/** What is best somewhere has the same colour in both curves. */
const tokenOf = (name: string): Token => {
  const { clock, sharpness } = curves.value ?? { clock: [], sharpness: [] }
  const names = [...new Set([...sharpness, ...clock].map(({ best }) => nameOf(best)))]
  return TOKENS[names.indexOf(name) % TOKENS.length] ?? 'ours'
}
/** A line in stretches, each in the colour of what is best then. */
function curveOf(points: readonly CurvePoint[], labelOf: (at: number) => string, along: string): ChartData {
  const stretches = stretchesOf(points)
  const names = [...new Set(stretches.map(({ best }) => nameOf(best)))]
  const series = names.map((name): Series => {
    const own = stretches.filter(({ best }) => nameOf(best) === name)
    // Each stretch ends where the next one begins, so that the line has no gap.
    const isIn = (k: number) => own.some(({ from, to }) => k >= from && k <= to + 1)
    return {
      ...{ name, token: tokenOf(name) },
      values: points.map(({ worth }, k) => (isIn(k) ? worth : null)),
    }
  })
  return {
    kind: 'lines',
    labels: points.map(({ at }) => labelOf(at)),
    series,
    along,
    value: t('common.worth'),
    isFree: true,
  }
}
const clock = computed(() => (curves.value ? curveOf(curves.value.clock, timeText, t('runs.leftOnTheClock')) : null))
const reads = computed(() =>
  curves.value
    ? curveOf(curves.value.sharpness, (at) => `${Math.round(at * 100)} %`, t('runs.howOftenTheySeeIt'))
    : null,
)
const rules = computed(
  (): ChartData | null =>
    curves.value && {
      ...{ kind: 'bars', isAcross: true, along: t('common.rules') },
      labels: curves.value.rules.map(({ rules: set }) => set?.name ?? t('common.allIsAllowed')),
      series: [{ name: t('common.worth'), token: 'ours', values: curves.value.rules.map(({ worth }) => worth) }],
    },
)
const drills = computed((): ChartData | null => {
  const best = (gains.value ?? []).filter(({ gain }) => gain >= LEAST).slice(0, MOST)
  if (!best.length) return null
  const labels = best.map((gain) => shortGain(played.value(chart.value), gain))
  return {
    ...{ kind: 'bars', isAcross: true, along: t('common.whatToDrill'), labels },
    series: [{ name: t('runs.whatItBrings'), token: 'trap', values: best.map(({ gain }) => gain) }],
  }
})
</script>

<template>
  <section class="panel" :aria-label="t('common.inPictures')">
    <SheetHead :title="t('common.inPictures')" />
    <WorkingOn v-if="progress !== null" :progress="progress" />
    <div class="pictures">
      <LateChart v-if="clock" :title="t('runs.worthByTheClock')" :data="clock" :say="hundred" />
      <LateChart v-if="reads" :title="t('runs.worthByHowWellTheySee')" :data="reads" :say="hundred" />
      <LateChart v-if="rules" :title="t('runs.worthByRules')" :data="rules" :say="hundred" />
      <LateChart v-if="drills" :title="t('runs.whatDrillingBrings')" :data="drills" :say="signed" />
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-12);
  padding: var(--space-16);
}

.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(460px, 100%), 1fr));
  gap: var(--space-24);
}
</style>
