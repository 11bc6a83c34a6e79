<script setup lang="ts">
import { computed } from 'vue'
import { sayGiveUp } from '../../../core/say/giveUp'
import { useCharts } from '../../../stores/charts'
import { useQuestion } from '../../../stores/questions'
import { t } from '../../../words/runs'

/** For each move of the plan, how much less it may land before something else in its position is better. */
const charts = useCharts()
const { answer, progress } = useQuestion(() => ({ of: 'giveUps' as const }))
/** Moves nearest to their limit first. */
const rows = computed(() => {
  const left = ({ limit, wrong }: { limit: number | null; wrong: number }) => (limit === null ? 2 : limit - wrong)
  return [...(answer.value ?? [])].sort((a, b) => left(a) - left(b))
})
</script>

<template>
  <section class="panel" :aria-label="t('runs.whenToGiveItUp')">
    <h2>{{ t('runs.whenToGiveItUp') }}</h2>
    <p class="muted small">
      {{ t('runs.aTryGoesWrongWhenIt') }}
      <span v-if="progress !== null" role="status">{{
        t('common.workingItOutProgress', { progress: Math.round(progress * 100) })
      }}</span>
    </p>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.move">
        <RouterLink :to="{ path: `/worksheet/${row.position}`, query: { move: row.move } }">{{
          sayGiveUp(charts.chart!, row)
        }}</RouterLink>
      </li>
    </ul>
    <p v-else-if="progress === null && answer">{{ t('runs.nothingThatThePlanTriesCan') }}</p>
  </section>
</template>

<style scoped src="./panel.css"></style>

<style scoped>
section {
  margin-top: var(--space-16);
  justify-items: stretch;
}

li {
  border-top: 1px solid var(--line);
}
</style>
