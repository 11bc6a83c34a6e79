<script setup lang="ts">
/** The mark of a loose end: the only ring on any screen. */
defineProps<{ text: string }>()
</script>

<template>
  <span class="loose">
    <svg viewBox="0 0 14 14" aria-hidden="true"><circle cx="7" cy="7" r="5" /></svg>
    {{ text }}
  </span>
</template>

<style scoped>
.loose {
  display: inline-flex;
  align-items: center;
  gap: var(--space-8);
  color: var(--ring);
}

svg {
  flex: none;
  width: 16px;
  height: 16px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 2.4;
}
</style>
