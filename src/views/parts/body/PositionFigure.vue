<script setup lang="ts">
import { useElementVisibility, useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import type { Position } from '../../../core/chart/position'
import { figureOfPosition } from '../../../core/body/ofPosition'
import { HEIGHT, WIDTH } from '../../../core/body/stage'
import BodyFigure from './BodyFigure.vue'

/** A small picture of a position, beside its name; worked out when it comes into view, or is printed. */
const props = defineProps<{ chart: Pick<Chart, 'holds'>; position: Position }>()
const root = ref<HTMLElement>()
const isVisible = useElementVisibility(root)
const isOnPaper = useMediaQuery('print')
const isSeen = ref(false)
watch([isVisible, isOnPaper], ([visible, paper]) => (isSeen.value ||= visible || paper))
const figure = computed(() => (isSeen.value ? figureOfPosition(props.chart, props.position) : null))
</script>

<template>
  <span ref="root" class="thumb" aria-hidden="true">
    <svg v-if="figure" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"><BodyFigure :figure="figure" /></svg>
  </span>
</template>

<style scoped>
.thumb {
  display: block;
  flex: none;
  width: var(--thumb, 104px);
  aspect-ratio: 330 / 230;
}

svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
