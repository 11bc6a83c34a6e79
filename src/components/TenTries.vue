<script setup lang="ts">
import { Minus, Plus } from '@element-plus/icons-vue'
import { useMediaQuery } from '@vueuse/core'
import { handlerOf } from './events'
import { sure } from '../core/sure'
import { computed, ref } from 'vue'
import { dragged, tryWidth, TypedDigits, type TryPart } from './tryParts'
import { t } from '../words'

/**
 * A strip of pips, edited in place: drag a boundary between two parts, or focus a part and press arrow keys, plus or
 * minus, or type its count. What lands is filled and round, what they do is cut at the corner, nothing is hollow.
 */
const props = defineProps<{ parts: TryPart[]; name: string; small?: boolean }>()
const emit = defineEmits<{ set: [counts: Record<string, number>, join?: string] }>()

const total = computed(() => props.parts.reduce((sum, { count }) => sum + count, 0))
/** Ten tries and their number stand in one line on a phone, too. */
const isPhone = useMediaQuery('screen and (width < 480px)')
const width = computed(() => tryWidth(total.value, props.small ? 13 : isPhone.value ? 27 : 30))
const digits = new TypedDigits()
const dragging = ref<{ left: number; from: number; counts: [number, number]; id: string } | null>(null)
let drags = 0

const round = (n: number) => Math.round(n * 1000) / 1000
const pips = (count: number) =>
  count > 60 ? [] : Array.from({ length: Math.ceil(count) }, (_, i) => Math.min(1, count - i))

function set(part: TryPart, count: number, join?: string) {
  const next = Math.max(0, Math.min(1000, round(count)))
  if (next !== part.count) emit('set', { [part.key]: next }, join)
}

function onKey(event: KeyboardEvent, part: TryPart) {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const step = { ArrowRight: 1, ArrowUp: 1, '+': 1, ArrowLeft: -1, ArrowDown: -1, '-': -1 }[event.key]
  if (step) set(part, part.count + step)
  else if (/^\d$/.test(event.key)) set(part, digits.type(event.key, event.timeStamp), `type ${part.key}`)
  else if (event.key === 'Backspace' || event.key === 'Delete') set(part, 0)
  else return
  event.preventDefault()
  event.stopPropagation()
}

function beginDrag(event: PointerEvent, left: number) {
  const seam = handlerOf(event)
  seam.setPointerCapture(event.pointerId)
  if (seam.previousElementSibling instanceof HTMLElement) seam.previousElementSibling.focus()
  const counts: [number, number] = [sure(props.parts[left]).count, sure(props.parts[left + 1]).count]
  dragging.value = { left, from: event.clientX, counts, id: `drag ${++drags}` }
}

function drag(event: PointerEvent) {
  if (!dragging.value) return
  const { left, from, counts, id } = dragging.value
  const [a, b] = dragged(...counts, Math.round((event.clientX - from) / width.value))
  const [first, second] = [sure(props.parts[left]), sure(props.parts[left + 1])]
  if (first.count !== a || second.count !== b) emit('set', { [first.key]: a, [second.key]: b }, id)
}
</script>

<template>
  <div class="strip" :class="{ small }" role="group" :aria-label="t('common.triesOfName', { name })">
    <template v-for="(part, i) in parts" :key="part.key">
      <div
        class="part"
        :class="[part.kind, { none: part.count === 0 }]"
        role="spinbutton"
        tabindex="0"
        :aria-label="`${name}: ${part.label}`"
        :aria-valuenow="part.count"
        :aria-valuetext="t('marks.partOfTotalTries', { part: part.count, total })"
        aria-valuemin="0"
        aria-valuemax="1000"
        :data-tip="t('marks.labelPartOfTotal', { label: part.label, part: part.count, total })"
        @keydown="onKey($event, part)"
      >
        <span
          v-for="(fill, n) in pips(part.count)"
          :key="n"
          class="pip"
          :style="{ width: `${Math.max(3, width * fill - 3)}px` }"
          >{{ width >= 15 && fill === 1 ? part.letter : '' }}</span
        >
        <span v-if="part.count > 60" class="pip many" :style="{ width: `${width * part.count}px` }">{{
          part.letter
        }}</span>
        <span v-if="part.count === 0" class="pip" :style="{ width: '8px' }" />
        <span class="steps">
          <button
            type="button"
            tabindex="-1"
            :aria-label="t('marks.oneLessLabel', { label: part.label })"
            @click="set(part, part.count - 1)"
          >
            <Minus class="icon" />
          </button>
          <b>{{ part.count }}</b>
          <button
            type="button"
            tabindex="-1"
            :aria-label="t('marks.oneMoreLabel', { label: part.label })"
            @click="set(part, part.count + 1)"
          >
            <Plus class="icon" />
          </button>
          <i>{{ part.label }}</i>
        </span>
      </div>
      <span
        v-if="i < parts.length - 1"
        class="seam"
        aria-hidden="true"
        @pointerdown.prevent="beginDrag($event, i)"
        @pointermove="drag"
        @pointerup="dragging = null"
        @pointercancel="dragging = null"
      />
    </template>
    <span class="total"
      >{{ round(total) }} <span class="readers-only">{{ t('marks.tries') }}</span></span
    >
  </div>
</template>

<style scoped>
.strip {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  min-height: 24px;
  max-width: 100%;
}

.part {
  position: relative;
  display: inline-flex;
  gap: var(--space-4);
  padding: var(--space-4) 0;
  border-radius: var(--corner);
}

.pip {
  display: inline-block;
  height: 17px;
  border: 1.5px solid var(--muted);
  border-radius: var(--corner-panel);
  text-align: center;
  font: var(--weight-strong) var(--type-small) / 1.17 var(--label);
}

.small .pip {
  height: 13px;
  font-size: var(--type-small);
  line-height: 10px;
}

.lands .pip {
  background: var(--ours);
  border-color: var(--ours);
}

.reaction .pip,
.elsewhere .pip {
  border: 0;
  border-radius: var(--corner);
  background: var(--theirs);
  color: var(--panel);
  line-height: 17px;
  clip-path: polygon(0 0, calc(100% - 6px) 0, 100% 6px, 100% 100%, 0 100%);
}

.small .reaction .pip,
.small .elsewhere .pip {
  line-height: 13px;
}

.elsewhere .pip {
  background: var(--muted);
}

.race .pip {
  border: 0;
  background: linear-gradient(115deg, var(--ours) 48%, var(--panel) 48% 52%, var(--theirs) 52%);
}

.none .pip {
  opacity: 0.45;
}

.seam {
  position: relative;
  z-index: 1;
  width: 12px;
  height: 24px;
  margin: 0 calc(-1 * var(--space-4));
  cursor: ew-resize;
  touch-action: none;
}

.seam:hover {
  background: linear-gradient(90deg, transparent 5px, var(--focus) 5px 7px, transparent 7px);
}

.total {
  min-width: 16px;
  margin-left: var(--space-8);
  font: var(--weight-strong) var(--type-body) / 1 var(--label);
  color: var(--muted);
}

.steps {
  display: none;
  position: absolute;
  z-index: 5;
  left: 0;
  top: calc(100% + 4px);
  align-items: center;
  gap: var(--space-8);
  padding: var(--space-4) var(--space-8) var(--space-4) var(--space-4);
  border: 1px solid var(--strong-line);
  border-radius: var(--corner);
  background: var(--raised);
  box-shadow: var(--shadow);
  white-space: nowrap;
  font: var(--weight-strong) var(--type-body) / 1 var(--label);
}

.part:focus-within .steps,
.part:focus .steps {
  display: inline-flex;
}

.steps button {
  display: grid;
  place-items: center;
  padding: 0;
  width: var(--tool);
  height: var(--tool);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--panel);
  cursor: pointer;
}

.steps i {
  color: var(--muted);
  font-style: normal;
}

/* For a finger: parts high enough to press, and their steps where the thumb is. */
@media (pointer: coarse) {
  .part {
    align-items: center;
    min-height: 44px;
  }

  .steps {
    position: fixed;
    z-index: 20;
    inset: auto var(--space-12) calc(var(--foot) + var(--space-12)) var(--space-12);
    justify-content: center;
    padding: var(--space-8);
    font-size: var(--type-head);
  }
}
</style>
