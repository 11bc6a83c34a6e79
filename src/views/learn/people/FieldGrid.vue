<script setup lang="ts" generic="Key extends string">
/** Fields of somebody under one heading, each in the slot by its key. */
defineProps<{ title: string; help: string; fields: readonly Key[]; names: Readonly<Record<Key, string>> }>()
</script>

<template>
  <section :aria-label="title">
    <h3>{{ title }}</h3>
    <p class="small muted">{{ help }}</p>
    <div class="fields">
      <label v-for="field in fields" :key="field">
        <span class="label">{{ names[field] }}</span>
        <slot :field="field" :label="names[field]" />
      </label>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-8);
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: var(--space-8) var(--space-12);
}

label {
  display: grid;
  gap: var(--space-4);
}
</style>
