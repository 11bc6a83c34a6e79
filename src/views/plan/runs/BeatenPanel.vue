<script setup lang="ts">
import { present, sure } from '../../../core/sure'
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { costText, hundred } from '../../../core/say/figureText'
import { lookUp } from '../../../core/chart/lookUp'
import { isPlaced, keyOfWay, type Blow } from '../../../core/questions/beat'
import { placeOfGain } from '../../../core/say/gain'
import { sayBeaten, whereMet, whereSeen } from '../../../core/say/beaten'
import { cueName } from '../../../core/say/seen'
import { useCharts } from '../../../stores/charts'
import { useQuestion } from '../../../stores/questions'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { t } from '../../../words/runs'

/**
 * The defender's cheapest way through the plan, in a few sentences, and what would cost them most; anew after each
 * repair.
 */
const charts = useCharts()
const chart = computed(() => present(charts.chart))
const { answer, progress, cancel } = useQuestion(() => ({ of: 'beaten' as const }))
const sentences = computed(() => (answer.value ? sayBeaten(chart.value, answer.value, costText) : []))
const repair = computed(() => {
  const gain = answer.value?.repair
  if (!gain) return null
  const { position, move, reaction } = placeOfGain(chart.value, gain)
  return {
    path: `/worksheet/${position}`,
    query: { move, reaction, ...(gain.of === 'new answer' ? { answer: '1' } : {}) },
  }
})
const nameOf = (blow: Blow) =>
  isPlaced(blow) ? cueName(chart.value, blow.cue) : (lookUp(chart.value.reactions, blow.reaction)?.name ?? '')
const whereOf = (blow: Blow) => (isPlaced(blow) ? whereSeen(chart.value, blow) : whereMet(chart.value, blow))
/** Air below the lowest bar, in parts of the whole fall. */
const AIR = 0.6
/** From what the start is worth down by each blow, and up again by the repair. */
const fall = computed((): ChartData | null => {
  const found = answer.value
  if (!found?.blows.length) return null
  const lowest = Math.min(...found.blows.map(({ worth }) => worth))
  // What falls is small beside what it falls from: the axis begins a little below it.
  const from = Math.floor((lowest - AIR * (found.worth - lowest)) * 100) / 100
  const last = sure(found.blows.at(-1)).worth
  const bars = [
    { label: t('runs.asItIsNow'), value: [0, found.worth] as const, token: 'ours' as const },
    ...found.blows.map((blow) => ({
      ...{ label: nameOf(blow), value: [blow.worth, blow.worth + blow.cost] as const, token: 'leak' as const },
    })),
    ...(found.repair
      ? [
          { label: t('runs.withAllOfIt'), value: [0, last] as const, token: 'ours' as const },
          { label: t('runs.theRepair'), value: [last, last + found.repair.gain] as const, token: 'trap' as const },
        ]
      : [{ label: t('runs.withAllOfIt'), value: [0, last] as const, token: 'ours' as const }]),
  ]
  const kinds = [
    { name: t('common.worth'), token: 'ours' as const },
    { name: t('runs.whatItCosts'), token: 'leak' as const },
    { name: t('runs.whatItBringsBack'), token: 'trap' as const },
  ]
  return {
    ...{ kind: 'bars', labels: bars.map(({ label }) => label), value: t('common.worth'), from },
    series: kinds.map((kind) => ({
      ...{ ...kind, isOver: true, values: bars.map(({ value, token }) => (token === kind.token ? value : null)) },
    })),
  }
})
const most = computed(() => Math.max(0.001, ...(answer.value?.blows ?? []).map(({ cost }) => cost)))
</script>

<template>
  <section class="panel" :aria-label="t('common.howTheyWouldBeatUs')">
    <h1>{{ t('common.howTheyWouldBeatUs') }}</h1>
    <p class="muted small">
      {{ t('runs.whatTheyDoAlreadyUsedTwice') }}
    </p>
    <WorkingOn v-if="progress !== null" :progress="progress">
      <el-button text @click="cancel">{{ t('common.stop') }}</el-button>
    </WorkingOn>
    <p v-if="sentences.length" class="said">{{ sentences.join(' ') }}</p>
    <ol v-if="answer?.blows.length">
      <li v-for="blow in answer.blows" :key="keyOfWay(blow)">
        <span class="what">
          <b>{{ nameOf(blow) }}</b>
          <span class="muted">{{ ` ${whereOf(blow)}` }}</span>
        </span>
        <span class="bar"><span :style="{ width: `${(100 * blow.cost) / most}%` }" /></span>
        <AskedFigure
          class="cost"
          :value="-blow.cost"
          form="cost"
          :asked="{
            of: 'gain',
            head: nameOf(blow),
            with: t('runs.itUsedTwiceAsOften'),
            gain: -blow.cost,
            from: blow.worth + blow.cost,
          }"
          :label="t('common.costOfReaction', { reaction: nameOf(blow) })"
        />
      </li>
    </ol>
    <LateChart v-if="fall" :title="t('runs.howItFalls')" :data="fall" :say="hundred" />
    <p v-if="repair && progress === null" class="off-paper">
      <RouterLink :to="repair" class="button primary">{{ t('runs.repairItOnTheWorksheet') }}</RouterLink>
      <span class="muted small">&nbsp;{{ t('runs.thenComeBackItIsWorked') }}</span>
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16);
}

.said {
  max-width: 70ch;
  font-size: var(--type-head);
  line-height: 1.5;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 160px 50px;
  gap: var(--space-12);
  align-items: center;
  padding: var(--space-8) 0;
  border-top: 1px solid var(--line);
}

.bar {
  display: block;
  height: 14px;
}

.bar span {
  display: block;
  height: 100%;
  background: var(--theirs);
  clip-path: polygon(0 0, calc(100% - 5px) 0, 100% 5px, 100% 100%, 0 100%);
}

.cost {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
  text-align: right;
}
</style>
