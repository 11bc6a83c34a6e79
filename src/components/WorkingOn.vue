<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../words'

/** How far something is that is being worked out, 0 to 1; in the slot what can be done about it. */
const props = defineProps<{ progress: number }>()
const percent = computed(() => Math.round(props.progress * 100))
</script>

<template>
  <p role="status" class="muted">
    {{ t('common.workingItOutProgress', { progress: percent }) }}
    <slot />
  </p>
</template>
