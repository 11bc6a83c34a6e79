<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { changeText } from '../../../core/say/figureText'
import { sayDependence } from '../../../core/say/whatIf'
import { useCharts } from '../../../stores/charts'
import { useQuestion } from '../../../stores/questions'
import { t } from '../../../words/runs'

/** What the start's value depends on most: each figure a step down and up. */
const charts = useCharts()
const { answer, progress } = useQuestion(() => ({ of: 'depends' as const }))
const rows = computed(() =>
  (answer.value?.found ?? []).map((one) => ({ ...one, ...sayDependence(present(charts.chart), one) })),
)
const most = computed(() =>
  Math.max(0.001, ...rows.value.flatMap(({ less, more }) => [Math.abs(less), Math.abs(more)])),
)
const width = (change: number) => `${(50 * Math.abs(change)) / most.value}%`
/** A bar from the middle: to the right where the start gains. */
const bar = (change: number) =>
  change >= 0 ? { left: '50%', width: width(change) } : { right: '50%', width: width(change) }
</script>

<template>
  <section class="panel" :aria-label="t('runs.whatTheStartDependsOn')">
    <h2>{{ t('runs.whatTheStartDependsOnMost') }}</h2>
    <p class="muted small">
      {{ t('runs.eachFigureAStepDownHollow') }}
      <template v-if="answer && answer.tried < answer.all">
        {{ t('runs.ofAllFiguresTheTriedThat', { all: answer.all, tried: answer.tried }) }}
      </template>
      <span v-if="progress !== null" role="status">{{
        t('common.workingItOutProgress', { progress: Math.round(progress * 100) })
      }}</span>
    </p>
    <table v-if="rows.length">
      <thead>
        <tr>
          <th scope="col">
            <span class="readers-only">{{ t('runs.figure') }}</span>
          </th>
          <th scope="col">{{ t('runs.aStepLess') }}</th>
          <th scope="col">
            <span class="readers-only">{{ t('runs.picture') }}</span>
          </th>
          <th scope="col">{{ t('runs.aStepMore') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="`${row.head} ${row.detail}`">
          <th scope="row">
            {{ row.head }} <span class="muted small">{{ row.detail }}</span>
          </th>
          <td>{{ changeText(row.less) }}</td>
          <td class="bars" aria-hidden="true">
            <span class="less" :style="bar(row.less)" /><span class="more" :style="bar(row.more)" />
          </td>
          <td>{{ changeText(row.more) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
section {
  padding: var(--space-16) var(--space-16);
}

table {
  width: 100%;
  margin-top: var(--space-8);
}

.bars {
  position: relative;
  width: 34%;
  min-width: 150px;
  background: linear-gradient(var(--strong-line), var(--strong-line)) center / 1px 100% no-repeat;
}

.bars span {
  position: absolute;
  height: 9px;
  border-radius: var(--corner);
}

.less {
  top: 5px;
  border: 1.5px solid var(--ours);
}

.more {
  top: 17px;
  background: var(--ours);
}
</style>
