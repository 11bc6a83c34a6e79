<script setup lang="ts">
import dayjs from 'dayjs'
import { computed, ref } from 'vue'
import PickList from '../../../components/PickList.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { toMoveId } from '../../../core/chart/ids'
import { membersOf } from '../../../core/club/whoIsThere'
import { isMinor } from '../../../core/club/person'
import { landingByMonth, triedMost } from '../../../core/learn/landing'
import { hundred } from '../../../core/say/figureText'
import { useSettings } from '../../../stores/settings'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import { useLog } from '../../parts/club/log'
import LearnedSince from './LearnedSince.vue'
import { t } from '../../../words/learn'

/** How often things land, month by month, with how unsure that is; and which figures moved since Monday. */
const ALL = ''
const { log } = useLog()
const settings = useSettings()
const move = ref(ALL)
const who = ref(ALL)
const tries = computed(() => (log.value?.tries ?? []).filter(({ us }) => who.value === ALL || us === who.value))
const moves = computed(() => [
  { value: ALL, label: t('learn.allMoves') },
  ...triedMost(tries.value).map((id) => ({ value: String(id), label: lookUp(log.value?.chart.moves, id)?.name ?? id })),
])
/** Of minors there are no figures. */
const people = computed(() => [
  { value: ALL, label: t('learn.everybody') },
  ...membersOf(log.value?.club ?? { people: [] })
    .filter((one) => !isMinor(one))
    .map(({ id, name }) => ({ value: id, label: name })),
])
const found = computed(() => landingByMonth(tries.value, move.value === ALL ? null : toMoveId(move.value)))
const data = computed((): ChartData | null => {
  const { months, landing } = found.value
  if (!months.length) return null
  return {
    ...{ kind: 'lines', along: t('learn.month'), value: t('learn.ofHundredTries'), from: 0 },
    labels: months.map(monthName),
    series: [
      { name: t('learn.landed'), token: 'ours', values: landing.map((one) => one && one.lands / one.of), joins: true },
      ...(['low', 'high'] as const).map((edge) => ({
        ...{ name: edge === 'low' ? t('learn.atLeast') : t('learn.atMost'), token: 'muted' as const, isDashed: true },
        ...{ values: landing.map((one) => one && one[edge]), joins: true },
      })),
    ],
  }
})
const monthName = (month: string) => dayjs(`${month}-01`).format('MMM YYYY')
/** Every move that was tried, with what landed in each month. */
const allMonths = computed(() => landingByMonth(tries.value, null).months)
const rows = computed(() =>
  triedMost(tries.value).map((id) => {
    const own = landingByMonth(tries.value, id)
    const inMonth = (month: string) => own.landing[own.months.indexOf(month)]
    return { id, name: lookUp(log.value?.chart.moves, id)?.name ?? id, cells: allMonths.value.map(inMonth) }
  }),
)
const sum = computed(() => found.value.landing.reduce((all, one) => all + (one?.of ?? 0), 0))
</script>

<template>
  <div class="two">
    <section :aria-label="t('learn.whatLands')">
      <h1>{{ t('learn.whatLands') }}</h1>
      <p class="row off-paper">
        <PickList :value="move" :options="moves" :aria-label="t('learn.move')" @change="(id: string) => (move = id)" />
        <PickList :value="who" :options="people" :aria-label="t('learn.whose')" @change="(id: string) => (who = id)" />
      </p>
      <LateChart v-if="data" :title="t('learn.landingByMonth', sum)" :data="data" :say="hundred" />
      <p v-else class="muted">{{ t('learn.nothingLogged') }}</p>
      <details v-if="rows.length">
        <summary>{{ t('learn.everyMoveByMonth') }}</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('learn.move') }}</th>
              <th v-for="month in allMonths" :key="month" scope="col">{{ monthName(month) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ id, name, cells } in rows" :key="id">
              <th scope="row">{{ name }}</th>
              <td v-for="(cell, i) in cells" :key="i">
                {{ cell ? t('learn.landsOf', { lands: cell.lands, of: cell.of }) : '–' }}
              </td>
            </tr>
          </tbody>
        </table>
      </details>
      <p class="small muted">{{ t('learn.whatCounts', { days: settings.halfLife }) }}</p>
    </section>
    <LearnedSince />
  </div>
</template>

<style scoped src="./trends.css"></style>
<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--space-8);
}
</style>
