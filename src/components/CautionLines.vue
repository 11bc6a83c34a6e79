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
  padding: 8px 12px;
  border: 1.5px solid var(--caution);
  border-radius: 8px;
  background: var(--caution-soft);
  font-size: 14px;
}

li:last-child {
  font-weight: 700;
}
</style>
