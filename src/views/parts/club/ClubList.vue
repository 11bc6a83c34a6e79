<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'

/** A list of the club's at the side: the way to the others, what is added to it, and its rows. */
defineProps<{ name: string; tabs: readonly { key: string; to: string; name: string }[]; at: string }>()
</script>

<template>
  <section class="list off-paper" :aria-label="name">
    <TabLinks :label="name" :tabs="tabs" :at="at" />
    <slot name="add" />
    <ul>
      <slot />
    </ul>
    <slot name="foot" />
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
