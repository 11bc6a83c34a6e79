<script setup lang="ts">
/** In the place of the sheet of a list of which nothing is chosen: what it is for. */
defineProps<{ says: string }>()
</script>

<template>
  <section>
    <p class="muted">{{ says }}</p>
  </section>
</template>

<style scoped>
section {
  padding: var(--space-16);
}
</style>
