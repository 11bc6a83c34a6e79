<script setup lang="ts">
import { entriesOf } from '../../../core/typed'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { SCORING_ACTIONS } from '../../../core/chart/rules/ruleSet'
import { useFigures } from '../../../stores/figures'

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
  const { controlTime } = rules
  if (!controlTime) return counted
  const stretches = (seconds: number) => seconds / controlTime.every
  return [
    ...counted,
    {
      name: `${controlTime.every} s of control`,
      ours: stretches(scored.ours.controlSeconds),
      theirs: stretches(scored.theirs.controlSeconds),
      each: controlTime.points,
    },
  ]
})
const times = (n: number) => (n === 0 ? '–' : n < 0.005 ? 'under 0.01' : n.toFixed(2))
</script>

<template>
  <section v-if="rows.length && figures.points" aria-label="Expected points">
    <h3>What an exchange scores under the plan</h3>
    <table>
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col">we, times</th>
          <th scope="col">they, times</th>
          <th scope="col">points each</th>
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
          <th scope="row">points</th>
          <td>{{ figures.points.ours.toFixed(1) }}</td>
          <td>{{ figures.points.theirs.toFixed(1) }}</td>
          <td></td>
        </tr>
      </tbody>
    </table>
    <p class="muted small">
      A control counts once until whoever has it is no longer ahead. The plan is made for its worth, not for points.
    </p>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
h3 {
  margin: 6px 0 4px;
  font: 700 18px/1.3 var(--label);
  color: var(--ink);
}

.sum > * {
  font-weight: 700;
}
</style>
