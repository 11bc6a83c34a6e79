<script setup lang="ts">
import type { LegendItem } from './legend'

/** What the marks of the picture mean, in one line below it. */
defineProps<{ items: readonly LegendItem[] }>()
</script>

<template>
  <p class="legend small">
    <span v-for="{ mark, text } in items" :key="mark"><i :class="mark" />{{ text }}</span>
    <slot />
  </p>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-24);
  align-items: center;
}

i {
  display: inline-block;
  width: 28px;
  height: 10px;
  margin-right: var(--space-8);
  border-radius: var(--corner);
  background: var(--track);
}

.line {
  height: 4px;
  background: var(--ours);
}

.fall {
  background: repeating-linear-gradient(45deg, var(--leak) 0 3px, var(--caution-soft) 3px 6px);
}

.rise {
  background: repeating-linear-gradient(90deg, var(--trap) 0 3px, transparent 3px 6px);
}

.open {
  width: 12px;
  height: 12px;
  border: 2px solid var(--caution);
  border-radius: var(--corner-full);
  background: none;
}

.their-move {
  background: var(--their-track);
}
</style>
