<script setup lang="ts">
import InlineText from './InlineText.vue'
import { t } from '../words'

/** The coach's notes on a record. */
defineProps<{ value?: string | undefined }>()
const emit = defineEmits<{ change: [notes: string] }>()
</script>

<template>
  <div class="across">
    <span class="label">{{ t('common.notes') }}</span>
    <InlineText
      :value="value ?? ''"
      :label="t('common.notes')"
      :placeholder="t('common.none')"
      multiline
      @change="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.label {
  display: block;
}
</style>
