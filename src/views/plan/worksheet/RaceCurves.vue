<script setup lang="ts">
import { computed } from 'vue'
import type { RaceState } from '../../../core/holds/race'
import { sayRace, sayTimes } from '../../../core/say/race'
import { t } from '../../../words/worksheet'

/** When each of the two gets there, as two curves over the seconds: ours filled, theirs hatched with a broken edge. */
const { state } = defineProps<{ state: RaceState }>()
const WIDTH = 320
const HEIGHT = 72
const POINTS = 60

const end = computed(() => {
  const last = [state.ours, state.theirs].filter(Number.isFinite).map((median) => median * Math.exp(2.2 * state.spread))
  return Math.max(1, ...last)
})
/** Density of a lognormal time about its median, in parts of a second. */
function density(median: number, at: number): number {
  const z = Math.log(at / median) / state.spread
  return Math.exp(-0.5 * z * z) / (at * state.spread * Math.sqrt(2 * Math.PI))
}
const curves = computed(() => {
  const at = (i: number) => ((i + 0.5) * end.value) / POINTS
  const heights = [state.ours, state.theirs].map((median) =>
    Number.isFinite(median) ? Array.from({ length: POINTS }, (_, i) => density(median, at(i))) : [],
  )
  const top = Math.max(...heights.flat(), 1e-9)
  return heights.map((curve) => {
    const points = curve.map((y, i) => `${(at(i) / end.value) * WIDTH} ${HEIGHT - (y / top) * (HEIGHT - 4)}`)
    return points.length ? `M0 ${HEIGHT}L${points.join('L')}L${WIDTH} ${HEIGHT}Z` : ''
  })
})
const marks = computed(() => {
  const step = end.value > 12 ? 5 : end.value > 5 ? 2 : 1
  return Array.from({ length: Math.floor(end.value / step) }, (_, i) => (i + 1) * step)
})
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT + 18}`"
      role="img"
      :aria-label="`${sayTimes(state)}. ${sayRace(state)}`"
      :width="WIDTH"
      :height="HEIGHT + 18"
    >
      <path class="ours" :d="curves[0]" />
      <path class="theirs" :d="curves[1]" />
      <path class="axis" :d="`M0 ${HEIGHT}H${WIDTH}`" />
      <g v-for="mark in marks" :key="mark" :transform="`translate(${(mark / end) * WIDTH} ${HEIGHT})`">
        <path class="axis" d="M0 0v4" />
        <text y="16">{{ mark }} s</text>
      </g>
    </svg>
    <figcaption class="small">
      <span class="key ours" />{{ t('worksheet.weAreThere') }} <span class="key theirs" />{{
        t('worksheet.theyAreThere')
      }}
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

svg {
  max-width: 100%;
  height: auto;
}

path.ours {
  fill: var(--ours);
  fill-opacity: 0.35;
  stroke: var(--ours);
  stroke-width: 2;
}

path.theirs {
  fill: var(--theirs);
  fill-opacity: 0.18;
  stroke: var(--theirs);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}

.axis {
  fill: none;
  stroke: var(--strong-line);
}

text {
  font: var(--weight-strong) var(--type-small) / 1 var(--label);
  fill: var(--muted);
  text-anchor: middle;
}

.key {
  display: inline-block;
  width: 22px;
  margin: 0 var(--space-4) var(--space-4) var(--space-8);
  border-top: 3px solid var(--ours);
}

.key.theirs {
  border-top: 3px dashed var(--theirs);
}
</style>
