<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import MoreButton from '../../../components/MoreButton.vue'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { t } from '../../../words'

/** The moves in the order in which the best plan uses them. */
const charts = useCharts()
const store = useFigures()
const FEW = 10
const limit = ref(FEW)

const moves = computed(() => {
  const nameOf = new Map<string, string>(present(charts.chart).positions.map(({ id, name }) => [id, name]))
  return present(charts.chart)
    .moves.flatMap((move) => {
      const figure = store.figures?.moves[move.id]
      return figure && figure.uses > 0.0005 ? [{ move, from: nameOf.get(move.from), figure }] : []
    })
    .sort((a, b) => b.figure.uses - a.figure.uses)
})
const shown = computed(() => moves.value.slice(0, limit.value))
const most = computed(() => Math.max(0.01, ...moves.value.map(({ figure }) => figure.uses)))
</script>

<template>
  <section class="panel" :aria-label="t('desk.movesInUse')">
    <h2>{{ t('desk.whatTheBestPlanUses') }}</h2>
    <p class="muted small">
      {{ t('desk.howOftenAnExchangeTriesIt') }}
    </p>
    <table>
      <tbody>
        <tr v-for="{ move, from, figure } in shown" :key="move.id">
          <td class="uses">
            <AskedFigure
              :value="figure.uses"
              form="times"
              :asked="{ of: 'uses', move: move.id }"
              :label="t('common.triesOfName', { name: move.name })"
            />
          </td>
          <td class="meter"><span :style="{ width: `${(100 * figure.uses) / most}%` }" /></td>
          <td>
            <RouterLink :to="{ path: `/worksheet/${move.from}`, query: { move: move.id } }">{{ move.name }}</RouterLink>
            <span class="muted">&nbsp;{{ t('common.fromFrom', { from }) }}</span>
          </td>
          <td class="worth">
            <AskedFigure
              :value="figure.value"
              :asked="{ of: 'move', move: move.id }"
              :label="t('common.worthOfMove', { move: move.name })"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <MoreButton v-model="limit" :few="FEW" :of="moves.length" />
  </section>
</template>

<style scoped>
section {
  padding: var(--space-16) var(--space-16);
}

table {
  width: 100%;
  margin-top: var(--space-8);
  border-collapse: collapse;
}

td {
  padding: var(--space-4) var(--space-8);
  border-top: 1px solid var(--line);
}

.uses {
  width: 96px;
  white-space: nowrap;
}

.worth {
  width: 48px;
  text-align: right;
}

.meter {
  width: 90px;
}

.meter span {
  display: block;
  height: 10px;
  min-width: 3px;
  border-radius: var(--corner);
  background: var(--ours);
}

a {
  text-decoration: none;
  font-weight: var(--weight-strong);
}

a:hover {
  text-decoration: underline;
}
</style>
