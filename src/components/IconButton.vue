<script setup lang="ts">
import type { Component } from 'vue'

/** A small button of a row that shows an icon; its name is read out, and shown to a pointer that rests on it. */
const { name, tip = name } = defineProps<{ icon: Component; name: string; tip?: string }>()
</script>

<template>
  <el-button text class="icon-button" :icon="icon" :aria-label="name" :data-tip="tip" />
</template>

<style scoped>
.el-button {
  min-width: var(--tool);
  min-height: var(--tool);
  padding: 0;
  font-size: var(--type-lead);
}
</style>
