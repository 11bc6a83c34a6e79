<script setup lang="ts">
import SessionTabs from './SessionTabs.vue'

/** A list of the club's at the side: the way to the others, what is added to it, and its rows. */
defineProps<{ name: string; at: 'classes' | 'people' | 'matches' }>()
</script>

<template>
  <section class="list off-paper" :aria-label="name">
    <SessionTabs :at="at" />
    <slot name="add" />
    <ul>
      <slot />
    </ul>
  </section>
</template>

<style scoped>
.list {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  padding: var(--space-16) var(--space-12);
}
</style>
