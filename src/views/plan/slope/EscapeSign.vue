<script setup lang="ts">
import { computed } from 'vue'
import type { EscapeMark } from '../../../core/slope/marks'

/** An escape attempt where it leaves its move: a wedge up or down, a level bar, or the ring that asks for work. */
const ASIDE = 6
const props = defineProps<{ mark: EscapeMark; faded: boolean; current: boolean }>()
/** Where the mark had to stand aside, the notch in its move is shown, and a short way from there. */
const notch = computed(() => {
  const {
    notch: [x, y],
    at,
  } = props.mark
  if (Math.hypot(at[0] - x, at[1] - y) < ASIDE) return null
  return { corner: `M${x - 3} ${y - 3}h4l2 2v4h-6z`, way: `M${x} ${y}L${at[0]} ${at[1]}` }
})
const wedge = computed(() => {
  const r = props.mark.size / 2
  if (props.mark.escape.kind === 'trap') return `M0 ${-r}L${r} ${r * 0.85}H${-r}Z`
  if (props.mark.escape.kind === 'leak') return `M0 ${r}L${r} ${-r * 0.85}H${-r}Z`
  return `M${-r} ${-r * 0.3}H${r}V${r * 0.3}H${-r}Z`
})
</script>

<template>
  <g
    class="escape"
    :class="[mark.escape.kind, { faded, current }]"
    :data-escape="mark.escape.key"
    :data-name="mark.escape.name"
  >
    <template v-if="notch">
      <path class="stub" :d="notch.way" />
      <path class="notch" :d="notch.corner" />
    </template>
    <circle v-if="current" class="reach" :cx="mark.at[0]" :cy="mark.at[1]" :r="Math.max(11, mark.size / 2 + 3)" />
    <circle
      v-if="mark.escape.kind === 'loose'"
      class="ring"
      :cx="mark.at[0]"
      :cy="mark.at[1]"
      :r="mark.size / 2 - 1.5"
      :style="{ '--r': mark.size / 2 - 1.5 }"
    />
    <path v-else class="wedge" :transform="`translate(${mark.at[0]} ${mark.at[1]})`" :d="wedge" />
    <text v-if="mark.label" :x="mark.label.x" :y="mark.label.y">{{ mark.label.text }}</text>
  </g>
</template>
