<script setup lang="ts">
import { entriesOf } from '../../../core/typed'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { SCORING_ACTIONS } from '../../../core/chart/rules/ruleSet'
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/rules'

/** How often an exchange under the plan scores each thing, for us and against us. */
const figures = useFigures()
const rows = computed(() => {
  const { scored, rules } = figures
  if (!scored || !rules) return []
  const counted = entriesOf(SCORING_ACTIONS)
    .filter(([score]) => rules.points?.[score])
    .map(([score, name]) => ({
      name,
      ours: scored.ours[score],
      theirs: scored.theirs[score],
      each: present(present(rules.points)[score]),
    }))
  const { controlTime, holdDown = [] } = rules
  const held = holdDown.map(({ seconds, points }, i) => ({
    name: t('rules.heldDownFor', { seconds }),
    ours: scored.ours.holdDown[i] ?? 0,
    theirs: scored.theirs.holdDown[i] ?? 0,
    each: points,
  }))
  if (!controlTime) return [...counted, ...held]
  const stretches = (seconds: number) => seconds / controlTime.every
  return [
    ...counted,
    ...held,
    {
      name: t('rules.everySOfControl', { every: controlTime.every }),
      ours: stretches(scored.ours.controlSeconds),
      theirs: stretches(scored.theirs.controlSeconds),
      each: controlTime.points,
    },
  ]
})
const times = (n: number) => (n === 0 ? '–' : n < 0.005 ? t('rules.under001') : n.toFixed(2))
</script>

<template>
  <section v-if="rows.length && figures.points" :aria-label="t('rules.expectedPoints')">
    <h3>{{ t('rules.whatAnExchangeScoresUnderThe') }}</h3>
    <table>
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col">{{ t('rules.weTimes') }}</th>
          <th scope="col">{{ t('rules.theyTimes') }}</th>
          <th scope="col">{{ t('rules.pointsEach') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td>{{ times(row.ours) }}</td>
          <td>{{ times(row.theirs) }}</td>
          <td>{{ row.each }}</td>
        </tr>
        <tr class="sum">
          <th scope="row">{{ t('common.points') }}</th>
          <td>{{ figures.points.ours.toFixed(1) }}</td>
          <td>{{ figures.points.theirs.toFixed(1) }}</td>
          <td></td>
        </tr>
      </tbody>
    </table>
    <p class="muted small">
      {{ figures.rules?.heldFor ? t('rules.itCountsOnceHeldFor', { seconds: figures.rules.heldFor }) : '' }}
      {{ t('rules.aControlCountsOnceUntilWhoever') }}
    </p>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
h3 {
  margin: var(--space-8) 0 var(--space-4);
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  color: var(--ink);
}

.sum > * {
  font-weight: var(--weight-strong);
}
</style>
