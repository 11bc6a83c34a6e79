<script setup lang="ts">
import { computed } from 'vue'
import type { ClimbPicture } from '../../../../core/climb/picture'
import { pathOf } from './climb'

/** Another plan under the picture of one, in outlines; what stands only there has its name. */
const props = defineProps<{ picture: ClimbPicture; outlines: ClimbPicture }>()
const onlyThere = computed(() => {
  const here = new Set(props.picture.ledges.map(({ position }) => position))
  return props.outlines.ledges.filter(({ position }) => !here.has(position))
})
</script>

<template>
  <g class="outlines" aria-hidden="true">
    <template v-for="{ key, curve, width } in outlines.ribbons" :key="key">
      <path class="rim" :d="pathOf(curve)" :stroke-width="width + 2" />
      <path class="hollow" :d="pathOf(curve)" :stroke-width="width" />
    </template>
    <rect
      v-for="{ position, x, y, width, height } in outlines.ledges"
      :key="position"
      v-bind="{ x, y, width, height }"
      rx="6"
    />
    <text v-for="{ position, name, x, y } in onlyThere" :key="position" :x="x + 10" :y="y + 19">{{ name }}</text>
  </g>
</template>

<style scoped>
.outlines {
  pointer-events: none;
}

rect,
.rim,
.hollow {
  fill: none;
}

rect {
  stroke: var(--muted);
  stroke-dasharray: 4 3;
}

text {
  fill: var(--muted);
}

.rim {
  stroke: var(--muted);
}

.hollow {
  stroke: var(--paper);
}
</style>
