<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** Some of the moves of a position, from a list that opens at once. */
defineProps<{ picked: string[]; options: { value: string; label: string }[]; label: string }>()
const emit = defineEmits<{ change: [picked: string[]]; close: [] }>()
const list = ref<{ focus: () => void }>()
onMounted(() => list.value?.focus())
</script>

<template>
  <el-select-v2
    ref="list"
    :model-value="picked"
    :options="options"
    multiple
    :aria-label="label"
    @update:model-value="(now: string[]) => emit('change', now)"
    @blur="emit('close')"
  />
</template>

<style scoped>
.el-select {
  flex: 1 1 260px;
  max-width: 420px;
}
</style>
