<script setup lang="ts">
/** The two ways to look at holds: one position, or a run step by step. */
defineProps<{ at: 'pin' | 'score' }>()
</script>

<template>
  <p class="tabs" role="group" aria-label="Holds">
    <RouterLink to="/holds" :aria-current="at === 'pin' ? 'true' : undefined">One position</RouterLink>
    <RouterLink to="/score" :aria-current="at === 'score' ? 'true' : undefined">A run, limb by limb</RouterLink>
  </p>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 4px;
}

a {
  padding: 3px 12px;
  border-radius: 14px;
  color: var(--muted);
  font: 650 16px/1.3 var(--label);
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
