<script setup lang="ts">
import InlineText from './InlineText.vue'

/** The coach's notes on a record. */
defineProps<{ value?: string | undefined }>()
const emit = defineEmits<{ change: [notes: string] }>()
</script>

<template>
  <div class="across">
    <span class="label">Notes</span>
    <InlineText :value="value ?? ''" label="Notes" placeholder="none" multiline @change="emit('change', $event)" />
  </div>
</template>

<style scoped>
.label {
  display: block;
}
</style>
