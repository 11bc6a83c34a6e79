<script setup lang="ts">
import { handlerOf } from '../../../components/events'
import { sure, present } from '../../../core/sure'
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { holder } from '../../../core/chart/hold'
import type { Bar } from '../../../core/limbScore/bars'
import type { Stretch } from '../../../core/limbScore/edits/editBars'
import { limbState } from '../../../core/limbScore/limbs'
import { barWords, isAtWork } from '../../../core/say/bar'
import { rowsWith } from '../../../core/limbScore/rows'
import { useScore } from './score'
import { t } from '../../../words/score'

/** A hold over the steps in which it is on. Its ends are dragged; arrows move its end, with Shift its beginning. */
const HOW = t('score.dragAnEndOrUseThe')
const props = defineProps<{ bar: Bar }>()
const { played, words, beat, place } = useScore()
const router = useRouter()
const root = ref<HTMLElement>()
/** The range while an end is dragged; null otherwise. */
const dragged = ref<Stretch | null>(null)

const shown = computed(() => dragged.value ?? { from: props.bar.from, to: props.bar.to })
/** The bar in words, with the side words of the step that is looked at, or of its own first step if it is off then. */
const says = computed(() => {
  const { from, to } = props.bar
  const at = beat.value >= from && beat.value <= to ? beat.value : from
  return barWords(props.bar, sure(played.value.beats[at]), words.value)
})
const isTrap = computed(() => {
  const { held } = rowsWith(props.bar.hold)
  return props.bar.role === 'held' && held && limbState(held, [props.bar.hold]) === 'trapped'
})
const isOurs = computed(() => holder(props.bar.hold) === 'ours')
/** A bar has the look of the person whose limb the line shows. */
const look = computed(() => ((props.bar.role === 'holds') === isOurs.value ? 'ours' : 'theirs'))
const when = computed(() => {
  const name = (beat: number) => (beat === 0 ? t('score.theStart') : t('score.stepStep', { step: beat }))
  const { from, to } = shown.value
  return from === to
    ? t('score.atFrom', { from: name(from) })
    : t('score.fromFromToTo', { from: name(from), to: name(to) })
})

const last = computed(() => played.value.beats.length - 1)
const clamp = (n: number, low: number, high: number) => Math.max(low, Math.min(high, n))

async function move(want: Stretch | null) {
  const { hold, role, from, to } = props.bar
  if (want && want.from === from && want.to === to) return
  if (!place(props.bar, { from, to }, want) || !want) return
  await nextTick()
  document.querySelector<HTMLElement>(`[data-bar="${hold.id} ${role} ${want.from}"]`)?.focus()
}

function onKey(event: KeyboardEvent) {
  const { from, to } = props.bar
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
  if (by && event.shiftKey) void move({ from: clamp(from + by, 0, to), to })
  else if (by) void move({ from, to: clamp(to + by, from, last.value) })
  else if (event.key === 'Delete' || event.key === 'Backspace') void move(null)
  else if (event.key === 'Enter') void router.push({ path: `/holds/${placeOf()}`, query: { hold: props.bar.hold.id } })
  else return
  event.preventDefault()
  event.stopPropagation()
}

/** A position in which it is on, to look at it there. */
function placeOf(): string {
  const found = played.value.beats
    .slice(props.bar.from, props.bar.to + 1)
    .find(({ place }) => place.kind === 'position')
  return found?.place.kind === 'position' ? found.place.id : ''
}

function drag(event: PointerEvent, end: 'from' | 'to') {
  const track = present(present(root.value).parentElement)
  const handle = handlerOf(event)
  handle.setPointerCapture(event.pointerId)
  const { from, to } = props.bar
  const at = (x: number) =>
    Math.floor(((x - track.getBoundingClientRect().left) / track.clientWidth) * (last.value + 1))
  const follow = ({ clientX }: PointerEvent) => {
    const beat = at(clientX)
    dragged.value = end === 'to' ? { from, to: clamp(beat, from, last.value) } : { from: clamp(beat, 0, to), to }
  }
  const done = () => {
    handle.removeEventListener('pointermove', follow)
    const want = dragged.value
    dragged.value = null
    if (want) void move(want)
  }
  handle.addEventListener('pointermove', follow)
  handle.addEventListener('pointerup', done, { once: true })
  handle.addEventListener('pointercancel', () => (dragged.value = null), { once: true })
}
</script>

<template>
  <div
    ref="root"
    class="bar"
    :class="[look, { work: bar.role === 'held' ? isTrap : isAtWork(bar.hold), dragged }]"
    :style="{ gridColumn: `${shown.from + 1} / ${shown.to + 2}`, gridRow: bar.lane + 1 }"
    role="button"
    tabindex="0"
    :data-bar="`${bar.hold.id} ${bar.role} ${bar.from}`"
    :aria-label="`${bar.hold.name}, ${when}`"
    :data-tip="`${bar.hold.name}, ${when}. ${HOW}`"
    @keydown="onKey"
  >
    <i class="grip" aria-hidden="true" @pointerdown.prevent="drag($event, 'from')" />
    <span>{{ says }}</span>
    <i class="grip" aria-hidden="true" @pointerdown.prevent="drag($event, 'to')" />
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  z-index: 2;
  display: flex;
  justify-content: space-between;
  align-items: center;
  align-self: center;
  min-width: 0;
  height: calc(100% - 2px);
  margin: 0 var(--space-4);
  border: 1.5px solid var(--ours);
  border-radius: var(--corner-full);
  background: var(--ours-soft);
  color: var(--ink);
  font: var(--weight-strong) var(--type-body) / 1.02 var(--label);
  cursor: default;
  user-select: none;
}

.bar span {
  flex: 1;
  max-height: 32px;
  padding: 0 var(--space-8);
  overflow: hidden;
}

.bar.work {
  background: var(--ours);
  color: var(--ours-ink);
}

.bar.theirs {
  border-color: var(--theirs);
  border-radius: 0;
  background: var(--theirs-soft);
  clip-path: polygon(0 0, calc(100% - 9px) 0, 100% 9px, 100% 100%, 0 100%);
}

.bar.theirs.work {
  background: var(--theirs);
  color: var(--ours-ink);
}

.bar.dragged {
  opacity: 0.75;
}

.grip {
  position: absolute;
  inset: 0 auto 0 0;
  width: 12px;
  cursor: ew-resize;
  touch-action: none;
}

.grip:last-child {
  inset: 0 0 0 auto;
}

@media print {
  .bar span {
    padding: 0 var(--space-4);
    font-size: var(--type-small);
    line-height: 1;
  }
}
</style>
