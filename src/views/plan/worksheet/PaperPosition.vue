<script setup lang="ts">
import { provideSheet } from '../../parts/inspectors/sheet'
import PositionSheet from './PositionSheet.vue'

/** One of the positions that are printed together: its sheet, in which nothing is selected. */
const { id } = defineProps<{ id: string }>()
provideSheet({
  position: () => id,
  move: () => undefined,
  reaction: () => undefined,
  picksAnswer: () => false,
  select: () => undefined,
})
</script>

<template>
  <PositionSheet />
</template>
