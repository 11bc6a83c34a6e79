<script setup lang="ts">
import { problemText, type Problem } from '../core/problem'
import { t } from '../words'

/** What is wrong with a document, a line for each problem, the first `most` of them. */
defineProps<{ problems: readonly Problem[]; most: number }>()
</script>

<template>
  <ul class="problems" data-test="problems">
    <li v-for="(problem, i) in problems.slice(0, most)" :key="i">{{ problemText(problem) }}</li>
  </ul>
  <p v-if="problems.length > most" class="muted">{{ t('marks.andNMore', { n: problems.length - most }) }}</p>
</template>

<style scoped>
.problems {
  max-height: 45vh;
  overflow: auto;
  margin: var(--space-8) 0 var(--space-16);
}

.problems li {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
