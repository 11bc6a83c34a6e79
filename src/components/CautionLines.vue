<script setup lang="ts">
import { t } from '../words'
/** The cautions that a sheet must carry: one line for each thing that its moves can injure. */
defineProps<{ lines: readonly string[] }>()
</script>

<template>
  <ul v-if="lines.length" class="lines" :aria-label="t('marks.cautions')">
    <li v-for="line in lines" :key="line">{{ line }}</li>
  </ul>
</template>

<style scoped>
.lines {
  padding: var(--space-8) var(--space-12);
  border: 1.5px solid var(--caution);
  border-radius: var(--corner);
  background: var(--caution-soft);
  font-size: var(--type-small);
}

li:last-child {
  font-weight: var(--weight-strong);
}
</style>
