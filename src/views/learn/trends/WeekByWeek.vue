<script setup lang="ts">
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { leakChanges, type LeakThen } from '../../../core/learn/weeks'
import { hundred, signed } from '../../../core/say/figureText'
import { lastOf } from '../../../core/sure'
import { useAsking } from '../../../stores/asking'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import { dayText } from '../../parts/club/days'
import { useLog } from '../../parts/club/log'
import { t } from '../../../words/learn'

/** The plan by the estimates at the end of each week: whether training works; and which leaks it opened and closed. */
const { log, asked } = useLog()
const { found, progress } = useAsking(() => {
  if (!asked.value) return null
  const { chart, scenario, tries, now, halfLife } = asked.value
  return { question: { of: 'weeks' as const, scenario, log: { tries, now, halfLife } }, chart }
})
const weeks = computed(() => found.value ?? [])
const labels = computed(() => weeks.value.map(({ monday }) => dayText(monday)))
const worth = computed((): ChartData | null =>
  weeks.value.length
    ? {
        ...{ kind: 'lines', labels: labels.value, along: t('learn.weekFrom'), value: t('common.worth'), isFree: true },
        series: [{ name: t('common.worth'), token: 'ours', values: weeks.value.map((week) => week.worth) }],
      }
    : null,
)
const tries = computed((): ChartData | null =>
  weeks.value.length
    ? {
        ...{
          kind: 'bars',
          isCounted: true,
          labels: labels.value,
          along: t('learn.weekFrom'),
          value: t('learn.liveTries'),
        },
        series: [{ name: t('learn.liveTries'), token: 'muted', values: weeks.value.map((week) => week.tries) }],
      }
    : null,
)
/** So many have room. */
const MOST = 8
const changes = computed(() => {
  const [first, last] = [weeks.value[0], lastOf(weeks.value)]
  return first && last && first !== last ? leakChanges(first, last).slice(0, MOST) : []
})
function nameOf({ move, reaction }: LeakThen): string {
  const { moves, reactions } = log.value?.chart ?? {}
  const name = lookUp(reactions, reaction ?? undefined)?.name ?? t('learn.nothingDone')
  return move === null ? name : t('learn.reactionTo', { name, move: lookUp(moves, move)?.name ?? move })
}
function verdict(before: number, after: number): string {
  if (after === 0) return t('learn.closed')
  if (before === 0) return t('learn.opened')
  return after < before ? t('learn.leaksLess') : t('learn.leaksMore')
}
const count = (n: number) => String(n)
</script>

<template>
  <h1>{{ t('learn.weekByWeek') }}</h1>
  <WorkingOn v-if="progress !== null" :progress="progress" />
  <p v-else-if="!weeks.length" class="muted">{{ t('learn.nothingLogged') }}</p>
  <div class="two">
    <LateChart v-if="worth" :title="t('learn.worthByWeek')" :data="worth" :say="hundred" />
    <LateChart v-if="tries" :title="t('learn.triesByWeek')" :data="tries" :say="count" />
  </div>
  <section v-if="changes.length" :aria-label="t('learn.leaksOpenedAndClosed')">
    <h2>{{ t('learn.leaksOpenedAndClosed') }}</h2>
    <table>
      <thead>
        <tr>
          <td></td>
          <th scope="col">{{ t('learn.inTheFirstWeek') }}</th>
          <th scope="col">{{ t('learn.now') }}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ leak, before, after } in changes" :key="leak.key">
          <th scope="row">{{ nameOf(leak) }}</th>
          <td>{{ before ? signed(-before) : '–' }}</td>
          <td>{{ after ? signed(-after) : '–' }}</td>
          <td :class="after < before ? 'better' : 'worse'">{{ verdict(before, after) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small muted">{{ t('learn.howWeeks') }}</p>
  </section>
</template>

<style scoped src="./trends.css"></style>
<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
table {
  max-width: 760px;
}
</style>
