<script setup lang="ts">
import { computed } from 'vue'
import type { Climb } from '../../../../core/climb/climb'
import { labelsOf } from '../../../../core/climb/labels'
import { moreThan } from '../../../../core/climb/over'
import type { ClimbPicture, PlacedLedge, PlacedRibbon } from '../../../../core/climb/picture'
import type { Chair } from '../../../../core/questions/climbs'
import { hundred, signed } from '../../../../core/say/figureText'
import { measureText } from '../measureText'
import ClimbEnds from './ClimbEnds.vue'
import ClimbOutlines from './ClimbOutlines.vue'
import { badgeText, nameAt, pathOf, ribbonSentence, ribbonText } from './climb'
import { t } from '../../../../words/slope'

/**
 * The plan from left to right by when it first comes somewhere, and by height as worth: ledges, ribbons as wide as they
 * are used, falls and steps up, and the column of what finishes. `move`: the one whose fork is shown, all else faint.
 */
const props = defineProps<{
  picture: ClimbPicture
  /** What is laid over it, in outlines, and the climb of which it is. */
  outlines: ClimbPicture | null
  over: Climb | null
  /** It is what was before a change. */
  isOfBefore: boolean
  /** It is on its way to new places: names come when it is there. */
  isMoving: boolean
  move: string | null
  /** The one of them that is pressed, where it is not only pointed at. */
  pressed: string | null
  start: string
  chair: Chair
}>()
const emit = defineEmits<{ pick: [move: string | null]; point: [move: string | null] }>()

const isOf = ({ of }: PlacedRibbon) => props.move === null || of.move === props.move
const isFaint = (ribbon: PlacedRibbon) => !isOf(ribbon)
/** Down for a fall, up for a step up. */
function signOf({ kind, curve }: PlacedRibbon) {
  const [x, y] = curve[3]
  return kind === 'fall' ? `M${x - 5} ${y - 4}h10l-5 9z` : `M${x - 5} ${y + 4}h10l-5 -9z`
}
/** At rest what is used most; of a move that is pointed at its whole fork. */
const drawn = computed(() => props.picture.ribbons.filter((one) => one.isAtRest || one.of.move === props.move))
/** Widest first, so that thin ones can be pressed. */
const ribbons = computed(() => drawn.value.toSorted((a, b) => b.width - a.width))

const labels = computed(() => {
  const { picture } = props
  const ribbons = drawn.value.filter(isOf)
  return props.isMoving ? [] : labelsOf({ picture, ribbons, lines: ribbons, says: sayings, measure: measureText })
})
function sayings({ of }: PlacedRibbon) {
  const number = ribbonText(of)
  const badge = 'net' in of ? '' : badgeText(of)
  const names = [...new Set([nameAt(of), of.name])].map((name) => `${name} ${number}`)
  const plain = [...names, number].map((text) => ({ text, badge: '' }))
  return badge ? [...names.map((text) => ({ text, badge })), ...plain] : plain
}
/** How much more the ledge is worth than before a change, or would be in what is laid over it. */
function changeOf({ position, value }: PlacedLedge) {
  const more = props.over ? moreThan(props.over, position, value) : undefined
  if (more === undefined || Math.abs(more) < LEAST_CHANGE) return undefined
  return props.isOfBefore ? more : -more
}
const LEAST_CHANGE = 0.0005
const pick = ({ of }: PlacedRibbon) => emit('pick', of.move === props.pressed ? null : of.move)
</script>

<template>
  <svg
    class="climb"
    :class="{ turned: chair === 'theirs' }"
    :width="picture.width"
    :height="picture.height"
    :viewBox="`0 0 ${picture.width} ${picture.height}`"
    role="group"
    :aria-label="chair === 'theirs' ? t('slope.theirWayAsAClimb') : t('slope.ourPlanAsAClimb')"
  >
    <defs>
      <pattern id="climb-fall" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect class="fall-ground" width="6" height="6" />
        <rect class="fall-line" width="3" height="6" />
      </pattern>
    </defs>
    <g class="axis">
      <g v-for="worth in picture.scale.ticks" :key="worth">
        <line x1="44" :x2="picture.width - 220" :y1="picture.scale.y(worth)" :y2="picture.scale.y(worth)" />
        <text x="40" :y="picture.scale.y(worth) + 4">{{ hundred(worth) }}</text>
      </g>
    </g>
    <ClimbOutlines v-if="outlines && !isMoving" v-bind="{ picture, outlines }" />
    <g
      v-for="ribbon in ribbons"
      :key="ribbon.key"
      class="ribbon"
      :class="[ribbon.kind, { faint: isFaint(ribbon) }]"
      role="button"
      tabindex="0"
      :aria-label="ribbonSentence(ribbon.of)"
      :aria-pressed="ribbon.of.move !== null && ribbon.of.move === pressed"
      @click="pick(ribbon)"
      @pointerenter="emit('point', ribbon.of.move)"
      @pointerleave="emit('point', null)"
      @keydown.enter="pick(ribbon)"
      @keydown.space.prevent="pick(ribbon)"
    >
      <path v-if="ribbon.onward && ribbon.of.move === move" class="onward" :d="pathOf(ribbon.onward)" />
      <path class="body" :d="pathOf(ribbon.curve)" :stroke-width="isFaint(ribbon) ? 1 : ribbon.width" />
      <path v-if="ribbon.kind === 'fall' || ribbon.kind === 'rise'" class="sign" :d="signOf(ribbon)" />
      <circle v-if="'beside' in ribbon.of" class="beside" :cx="ribbon.curve[3][0]" :cy="ribbon.curve[3][1]" r="4" />
      <path class="reach" :d="pathOf(ribbon.curve)" />
    </g>
    <ClimbEnds :bars="picture.bars" :chair="chair" />
    <g v-for="ledge in picture.ledges" :key="ledge.position" class="ledge" :class="{ theirs: ledge.isTheirs }">
      <rect :x="ledge.x" :y="ledge.y" :width="ledge.width" :height="ledge.height" rx="6" />
      <text v-for="(line, i) in ledge.lines" :key="i" :x="ledge.x + 10" :y="ledge.y + 19 + 18 * i">{{ line }}</text>
      <text class="worth" :x="ledge.x + ledge.width - 4" :y="ledge.y - 3">
        {{ hundred(ledge.value) }}
        <tspan v-if="changeOf(ledge) !== undefined" :class="(changeOf(ledge) ?? 0) < 0 ? 'less' : 'more'">
          {{ signed(changeOf(ledge) ?? 0) }}
        </tspan>
      </text>
      <text v-if="ledge.position === start" class="begins" :x="ledge.x" :y="ledge.y - 3">{{ t('common.start') }}</text>
    </g>
    <g v-for="{ ribbon, text, badge, x, y, lead } in labels" :key="ribbon.key" class="said" :class="ribbon.kind">
      <line v-if="lead" :x1="lead[0][0]" :y1="lead[0][1]" :x2="lead[1][0]" :y2="lead[1][1]" />
      <text :x="x" :y="y + 5">
        {{ text }}
        <tspan v-if="badge" class="badge">{{ badge }}</tspan>
      </text>
    </g>
  </svg>
</template>

<style scoped>
.climb {
  display: block;
  font: var(--weight-strong) var(--type-body) / 1 var(--label);
}

.axis line {
  stroke: var(--line);
}

.axis text {
  fill: var(--muted);
  font-size: var(--type-small);
  text-anchor: end;
}

.ribbon {
  cursor: pointer;
}

.body {
  fill: none;
  stroke: var(--track);
}

.turned .body {
  stroke: var(--their-track);
}

.reach {
  fill: none;
  stroke: transparent;
  stroke-width: 14px;
}

.ribbon:focus-visible {
  outline: none;
}

.ribbon:focus-visible .body,
.ribbon:hover .body {
  stroke: var(--ours);
}

.fall .body {
  stroke: url('#climb-fall');
}

.fall-ground {
  fill: var(--caution-soft);
}

.fall-line {
  fill: var(--leak);
}

.rise .body {
  stroke: var(--trap);
  stroke-dasharray: 2 5;
}

.onward {
  fill: none;
  stroke: var(--strong-line);
  stroke-dasharray: 1 5;
}

.fall .sign {
  fill: var(--leak);
}

.rise .sign {
  fill: var(--trap);
}

.faint .sign,
.faint .onward,
.faint .beside {
  visibility: hidden;
}

.even .body {
  stroke: var(--strong-line);
  stroke-dasharray: 2 6;
}

.faint .body {
  stroke: var(--line);
  stroke-dasharray: none;
}

.ledge rect {
  fill: var(--panel);
  stroke: var(--ours);
  stroke-width: 1.5px;
}

.ledge.theirs rect {
  fill: var(--theirs-soft);
  stroke: var(--theirs);
}

.ledge text {
  fill: var(--ink);
}

.ledge .worth {
  fill: var(--muted);
  font-size: var(--type-small);
  text-anchor: end;
}

.ledge .less {
  fill: var(--leak);
}

.ledge .more {
  fill: var(--trap);
}

.ledge .begins {
  fill: var(--ours);
  font-size: var(--type-small);
}

.beside {
  fill: var(--ours);
}

.said line {
  stroke: var(--strong-line);
}

.said text {
  fill: var(--ink);
  font-size: var(--type-body);
  paint-order: stroke;
  pointer-events: none;
  stroke: var(--paper);
  stroke-width: 4px;
  text-anchor: middle;
}

.said.fall text,
.said .badge {
  fill: var(--leak);
}

.said.rise text {
  fill: var(--trap);
}
</style>
