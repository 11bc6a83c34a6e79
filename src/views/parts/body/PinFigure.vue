<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Hold } from '../../../core/chart/hold'
import { holder } from '../../../core/chart/hold'
import type { Limb, Person } from '../../../core/chart/words'
import BodyFigure from './BodyFigure.vue'
import { figureOf } from '../../../core/body/body'
import { HEIGHT, WIDTH } from '../../../core/body/stage'
import type { Orientation } from '../../../core/sides/frames'
import { t } from '../../../words'

/**
 * Two outlines from the frame's fixed view, ours filled and theirs open, with numbered contacts joined to their words.
 */
const props = defineProps<{
  frame: string | undefined
  /** Of the position: it tells how they are in the frame. */
  name?: string
  /** The limbs that are being put on. */
  moving?: { by: Person; limb: Limb }[]
  orientation: Orientation
  over: Person
  holds: readonly Hold[]
}>()
const MARGIN = 190
const root = ref<HTMLElement>()
/** What it will be, until it is measured, so that the figure does not jump. */
const EXPECTED = window.innerWidth >= 1600 ? 800 : 500
const { width } = useElementSize(root, { width: EXPECTED, height: 0 })
/** Too narrow for words at both sides: they stand below. */
const isNarrow = computed(() => width.value > 0 && width.value < 660)
const figure = computed(() => figureOf(props))
const left = computed(() => (isNarrow.value ? 0 : MARGIN))
const box = computed(() => `${-left.value} 0 ${WIDTH + 2 * left.value} ${HEIGHT}`)

/** The words, half at each side, from the top down in the order of their contacts, so that lines do not cross. */
const words = computed(() => {
  const marks = [...(figure.value?.marks ?? [])].sort((a, b) => a.at[0] - b.at[0])
  const half = Math.ceil(marks.length / 2)
  return [marks.slice(0, half), marks.slice(half)].flatMap((side, i) =>
    side
      .sort((a, b) => a.at[1] - b.at[1])
      .map((mark, row) => ({ ...mark, isLeft: i === 0, y: (HEIGHT * (row + 0.7)) / (side.length + 0.4) })),
  )
})
</script>

<template>
  <figure v-if="figure" ref="root" class="panel">
    <svg
      :viewBox="box"
      role="img"
      :aria-label="
        t('body.whoHoldsWhomHolds', { holds: holds.map(({ name }) => name).join(', ') || t('body.nothingIsHeld') })
      "
    >
      <BodyFigure :figure="figure" />
      <g v-for="mark in words" :key="mark.hold.id" :class="['mark', holder(mark.hold)]">
        <template v-if="!isNarrow">
          <path class="lead" :d="`M${mark.at[0]} ${mark.at[1]}L${mark.isLeft ? -4 : WIDTH + 4} ${mark.y}`" />
          <text :x="mark.isLeft ? -10 : WIDTH + 10" :y="mark.y + 5" :text-anchor="mark.isLeft ? 'end' : 'start'">
            {{ mark.hold.name }}
          </text>
        </template>
        <circle :cx="mark.at[0]" :cy="mark.at[1]" r="9" />
        <text class="number" :x="mark.at[0]" :y="mark.at[1] + 4.5" text-anchor="middle">{{ mark.n }}</text>
      </g>
    </svg>
    <ol v-if="isNarrow">
      <li v-for="mark in figure.marks" :key="mark.hold.id">{{ mark.hold.name }}</li>
    </ol>
    <figcaption class="muted small">{{ t('body.oursFilledTheirsOpen') }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  padding: var(--space-12) var(--space-16);
}

svg {
  display: block;
  width: 100%;
  max-height: 300px;
}

.lead {
  stroke: var(--strong-line);
}

.mark circle {
  fill: var(--ink);
  stroke: var(--panel);
  stroke-width: 1.5;
}

.mark.theirs circle {
  fill: var(--theirs);
}

.mark text {
  fill: var(--ink);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}

.mark .number {
  fill: var(--panel);
  font: var(--weight-strong) var(--type-small) / 1.3 var(--label);
}

ol {
  display: grid;
  grid-template-columns: 1fr 1fr;
  padding-left: var(--space-24);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
  list-style: decimal;
}
</style>
