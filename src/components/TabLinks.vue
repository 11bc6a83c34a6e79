<script setup lang="ts">
/** Ways to look at one thing, each with an address of its own. */
defineProps<{ label: string; tabs: readonly { key: string; to: string; name: string }[]; at: string }>()
</script>

<template>
  <p class="tabs off-paper" role="group" :aria-label="label">
    <RouterLink v-for="tab in tabs" :key="tab.key" :to="tab.to" :aria-current="tab.key === at ? 'true' : undefined">{{
      tab.name
    }}</RouterLink>
  </p>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
}

a {
  padding: var(--space-4) var(--space-12);
  border-radius: var(--corner-full);
  color: var(--muted);
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  text-decoration: none;
}

a:hover {
  color: var(--ink);
}

a[aria-current] {
  background: var(--ours-soft);
  color: var(--ink);
}
</style>
