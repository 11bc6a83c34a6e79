<script setup lang="ts">
import PrintButton from './PrintButton.vue'

/** The head of a sheet: what it is, the ways on from it, and how it is printed. */
defineProps<{ title: string }>()
</script>

<template>
  <header>
    <h1>{{ title }}</h1>
    <span class="tools off-paper">
      <slot />
      <PrintButton />
    </span>
  </header>
</template>

<style scoped>
header,
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
}

header {
  justify-content: space-between;
}
</style>
