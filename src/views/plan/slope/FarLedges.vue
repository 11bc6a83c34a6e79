<script setup lang="ts">
import { computed } from 'vue'
import { hundred } from '../../../core/say/figureText'
import { BAR, LEDGE_HEIGHT, type Ledge } from '../../../core/slope/ledges'
import { useSlope } from './slope'

/** Ledges from afar, without names: bare bars, so that hundreds cost next to nothing. */
const props = defineProps<{ ledges: Ledge[]; level: 'near' | 'far' | 'tiny' }>()
const { seen } = useSlope()
const TOP = LEDGE_HEIGHT - BAR

const isFaded = ({ id }: Ledge) => Boolean(seen.value && !seen.value.places.has(id))
const drawn = computed(() =>
  props.ledges.map((ledge) => {
    const isPosition = ledge.kind === 'position'
    return {
      ...{ id: ledge.id, x: ledge.x, y: ledge.y + (isPosition ? TOP : 0), width: ledge.width },
      height: isPosition ? BAR : ledge.height,
      ground: isPosition ? (ledge.isTheirs ? 'their-bar' : 'our-bar') : ledge.kind,
      worth: ledge.width * Math.min(1, Math.abs(ledge.value ?? 0)),
      fill: (ledge.value ?? 0) < 0 ? 'lost' : 'won',
      faded: isFaded(ledge),
    }
  }),
)
const valued = computed(() => (props.level === 'far' ? props.ledges.filter(({ value }) => value !== null) : []))
</script>

<template>
  <template v-for="one in drawn" :key="one.id">
    <rect
      class="bare"
      :class="[one.ground, { faded: one.faded }]"
      :x="one.x"
      :y="one.y"
      :width="one.width"
      :height="one.height"
    />
    <rect
      v-if="one.worth"
      class="bare"
      :class="[one.fill, { faded: one.faded }]"
      :x="one.x"
      :y="one.y"
      :width="one.worth"
      :height="one.height"
    />
  </template>
  <text
    v-for="ledge in valued"
    :key="ledge.id"
    class="value far"
    :class="{ faded: isFaded(ledge) }"
    :x="ledge.x + ledge.width / 2"
    :y="ledge.y + TOP - 3"
  >
    {{ hundred(ledge.value!) }}
  </text>
</template>
