<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router'
import PrintButton from '../../parts/print/PrintButton.vue'

/** The head of a screen that prints a chosen few positions: its name, which of them, and the press that prints. */
defineProps<{ title: string; label: string; options: { value: string; label: string }[]; chosen: string[] }>()
const route = useRoute()
const router = useRouter()
const choose = (ids: string[]) => void router.replace({ path: route.path, query: { of: ids.join(',') } })
</script>

<template>
  <header class="off-paper">
    <h1>{{ title }}</h1>
    <el-select-v2
      v-if="options.length"
      :model-value="chosen"
      :options="options"
      multiple
      filterable
      :placeholder="label"
      :aria-label="label"
      @update:model-value="choose"
    />
    <PrintButton />
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
}

.el-select {
  flex: 1;
  min-width: 260px;
}
</style>
