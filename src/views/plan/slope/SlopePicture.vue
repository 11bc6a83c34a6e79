<script setup lang="ts">
import { computed } from 'vue'
import { escapeKey } from '../../../core/slope/escapes'
import { ON_PLAN } from '../../../core/slope/lines'
import { pathOf } from '../../../core/slope/routes'
import { useFigures } from '../../../stores/figures'
import type { Window } from './camera'
import { placeUnder, type Drag } from './dragging'
import EscapeSign from './EscapeSign.vue'
import FarLedges from './FarLedges.vue'
import LedgeMark from './LedgeMark.vue'
import { useSlope } from './slope'
import './slope.css'

/** Draws the parts of the Slope that are in the window, from the lowest layer to the topmost. */
const props = defineProps<{ level: 'near' | 'far' | 'tiny'; window: Window; drag: Drag | null }>()
const { scene, seen, at, selection, isDrawn } = useSlope()
const store = useFigures()
const FAR_BAND = 4_000

const isFadedMove = (id: string) => Boolean(seen.value && !seen.value.moves.has(id))
const isFadedEscape = (key: string) => Boolean(seen.value && !seen.value.escapes.has(key))
const currentMove = computed(() => {
  const item = at.value
  return item?.kind === 'move' ? item.move : item?.kind === 'answer' ? item.answer : undefined
})
const currentEscape = computed(() => {
  const item = at.value
  return item && item.kind !== 'place' && item.kind !== 'move'
    ? escapeKey(item.move ?? item.position, item.reaction)
    : ''
})

const isNear = computed(() => props.level === 'near')
const touches = (left: number, top: number, right: number, bottom: number) =>
  left < props.window.right && right > props.window.left && top < props.window.bottom && bottom > props.window.top
const pointsTouch = (points: readonly (readonly [number, number])[]) => {
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  return touches(Math.min(...xs) - 40, Math.min(...ys), Math.max(...xs) + 40, Math.max(...ys) + 40)
}

const ledges = computed(() =>
  (scene.value?.ledges ?? []).filter(({ x, y, width, height }) => touches(x, y, x + width, y + height)),
)
/** Zoomed out, only the lines of the best plan are drawn, each as one path, since they cannot be clicked. */
const lines = computed(() =>
  (scene.value?.lines ?? [])
    .filter((line) => (isNear.value ? isDrawn(line) : line.uses >= ON_PLAN) && pointsTouch(line.points))
    .map((line) => ({ line, d: pathOf(line.points) })),
)
/** A mark hangs on the line of its move. */
const hidden = computed(
  () => new Set<string | null>(scene.value?.lines.filter((line) => !isDrawn(line)).map(({ move }) => move)),
)
const hiddenEscapes = computed(
  () =>
    new Set(scene.value?.marks.filter(({ escape }) => hidden.value.has(escape.move)).map(({ escape }) => escape.key)),
)
const ways = computed(() =>
  isNear.value
    ? [...(scene.value?.ways ?? [])]
        .filter(([key, points]) => !hiddenEscapes.value.has(key) && pointsTouch(points))
        .map(([key, points]) => ({ key, d: pathOf(points) }))
    : [],
)
const marks = computed(() =>
  (scene.value?.marks ?? [])
    .filter(
      ({ at: [x, y], escape }) =>
        (isNear.value || escape.kind === 'loose') &&
        !hiddenEscapes.value.has(escape.key) &&
        touches(x - 12, y - 12, x + 160, y + 12),
    )
    .reverse(),
)
const names = computed(() =>
  isNear.value ? (scene.value?.names ?? []).filter(({ x, y }) => touches(x, y - 14, x + 200, y)) : [],
)
/** Lines that are selected or in focus are drawn one by one, also when zoomed out. */
const isMarked = ({ id }: { id: string }) => selection.value.has(id) || isHere(id)
const isHere = (id: string) => (at.value?.kind === 'place' && at.value.place === id) || target.value === id
const target = computed(() => (props.drag?.kind === 'draw' ? placeUnder(scene.value, props.drag.to) : undefined))
</script>

<template>
  <template v-if="scene">
    <g class="moving" :class="{ stale: store.stale }">
      <rect
        v-for="(band, i) in scene.bands"
        :key="band.key"
        class="band"
        :class="{ odd: i % 2 === 0 }"
        :x="-FAR_BAND"
        :width="scene.width + 2 * FAR_BAND"
        :y="band.y"
        :height="band.height"
      />
      <g
        v-for="{ line, d } in lines"
        :key="line.move"
        v-memo="[d, line.width, line.uses >= ON_PLAN, isFadedMove(line.move), currentMove === line.move, isNear]"
        :data-move="line.move"
        :class="{ faded: isFadedMove(line.move) }"
      >
        <path v-if="isNear && currentMove === line.move" class="under" :d="d" :stroke-width="line.width + 7" />
        <path class="line" :class="{ plan: line.uses >= ON_PLAN }" :d="d" :stroke-width="line.width" />
        <path v-if="isNear" class="reach" :d="d" />
      </g>
      <path
        v-for="way in ways"
        :key="way.key"
        class="way"
        :class="{ faded: isFadedEscape(way.key), current: currentEscape === way.key }"
        :d="way.d"
      />
      <FarLedges v-if="!isNear" :ledges="ledges" :level="level" />
      <LedgeMark
        v-for="ledge in isNear ? ledges : ledges.filter(isMarked)"
        :key="ledge.id"
        v-memo="[
          ledge,
          level,
          Boolean(seen && !seen.places.has(ledge.id)),
          isHere(ledge.id),
          ledge.id === store.scenario?.start,
          selection.has(ledge.id),
        ]"
        :ledge="ledge"
        :level="level"
        :faded="Boolean(seen && !seen.places.has(ledge.id))"
        :current="isHere(ledge.id)"
        :start="ledge.id === store.scenario?.start"
        :selected="selection.has(ledge.id)"
      />
      <template v-if="!isNear">
        <circle
          v-for="mark in marks"
          :key="mark.escape.key"
          class="ring"
          :class="{ faded: isFadedEscape(mark.escape.key) }"
          :data-escape="mark.escape.key"
          :cx="mark.at[0]"
          :cy="mark.at[1]"
          :r="mark.size / 2 - 1.5"
          :style="{ '--r': mark.size / 2 - 1.5 }"
        />
      </template>
      <EscapeSign
        v-for="mark in isNear ? marks : []"
        :key="mark.escape.key"
        v-memo="[
          ...mark.at,
          mark.size,
          mark.label?.text,
          mark.label?.x,
          mark.escape.kind,
          isFadedEscape(mark.escape.key),
          currentEscape === mark.escape.key,
        ]"
        :mark="mark"
        :faded="isFadedEscape(mark.escape.key)"
        :current="currentEscape === mark.escape.key"
      />
      <text
        v-for="name in names"
        :key="name.move"
        class="beside"
        :class="{ faded: isFadedMove(name.move) }"
        :x="name.x"
        :y="name.y"
      >
        {{ name.text }}
      </text>
      <path v-if="drag && drag.kind !== 'mark'" class="drag" :d="`M${drag.from.join(' ')}L${drag.to.join(' ')}`" />
      <rect
        v-else-if="drag"
        class="drag"
        :x="Math.min(drag.from[0], drag.to[0])"
        :y="Math.min(drag.from[1], drag.to[1])"
        :width="Math.abs(drag.to[0] - drag.from[0])"
        :height="Math.abs(drag.to[1] - drag.from[1])"
      />
    </g>
  </template>
</template>
