<script setup lang="ts">
import { computed } from 'vue'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import type { Move } from '../../../core/chart/move'

/** What the moves of a printed sheet can injure; on the screen each move says it itself. */
const { moves } = defineProps<{ moves: readonly Move[] }>()
const lines = computed(() => cautionLines(moves))
</script>

<template>
  <CautionLines class="on-paper" :lines="lines" />
</template>
