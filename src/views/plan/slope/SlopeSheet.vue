<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed, defineAsyncComponent, nextTick, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import type { Item } from '../../../core/slope/items'
import { useFigures } from '../../../stores/figures'
import BandHeads from './BandHeads.vue'
import { boxOfItem } from './boxOfItem'
import { useCamera } from './camera'
import { useDragging } from './dragging'
import { useIsNarrow } from '../../parts/layout/room'
import { onSlopeKey } from './keys'
import { provideItemSheet, worksheetOf } from './itemSheet'
import { ALL_LEGEND } from './legend'
import { useOutput } from './output'
import { MANY, provideSlope } from './slope'
import SlopeLegend from './SlopeLegend.vue'
import SlopePicture from './SlopePicture.vue'
import SlopePrompt from './SlopePrompt.vue'
import SlopeStatus from './SlopeStatus.vue'
import SlopeTools from './SlopeTools.vue'
import { useWalking } from './walking'
import { useSlopeEdits, type Asking } from './slopeEdits'
import { t } from '../../../words/slope'

/** Loaded when they are opened: they hold most of what is edited elsewhere. */
const SlopeDetail = defineAsyncComponent(() => import('./SlopeDetail.vue'))
const SlopeText = defineAsyncComponent(() => import('./SlopeText.vue'))
const BandOrder = defineAsyncComponent(() => import('./BandOrder.vue'))

/** A chart with at most so many places opens at a readable zoom; a larger one opens with all of it in view. */
const FEW = 80
const slope = provideSlope()
const { chart, scene, at, selection, goTo, focus, setFocus, tidy } = slope
provideItemSheet(slope)
const store = useFigures()
const router = useRouter()
const root = ref<HTMLElement>()
const isNarrow = useIsNarrow()
/** Where the picture has no room, it is told. */
const panel = ref<'detail' | 'text' | 'bands' | null>(isNarrow.value ? 'text' : null)

const camera = useCamera(root, (event) => !isHeld(event) && !('shiftKey' in event && event.shiftKey))
const { isWhole, save, print } = useOutput(root, () => scene.value)
const level = computed(() => (isWhole.value ? 'near' : camera.level.value))
const EVERYTHING = { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity }
const inView = computed(() => (isWhole.value ? EVERYTHING : camera.window.value))
const work = useSlopeEdits(slope)
const { asking } = work
const start = (): Item | undefined => store.scenario?.start && { kind: 'place', place: store.scenario.start }
const walk = useWalking({
  chart: () => chart.value,
  figures: () => store.figures,
  scene: () => scene.value,
  at: () => at.value,
  start,
  goTo,
})

const hovered = shallowRef<Item>()
const { drag, isHeld } = useDragging({
  ...{ root, transform: camera.transform, scene: () => scene.value },
  click(item, also) {
    if (also && item?.kind === 'place') toggle(item.place)
    else goTo(item)
    root.value?.focus()
  },
  hovered: (item) => (hovered.value = item),
  drawn(item, to) {
    goTo(item)
    asking.value = { for: 'name', item, to }
  },
  pushed({ place }, x, y) {
    if (!selection.value.has(place)) goTo({ kind: 'place', place })
    work.push(x, Math.round(y / 60), undefined, place)
  },
  marked({ left, top, right, bottom }) {
    const within = present(scene.value).ledges.filter(
      ({ kind, x, y, width, height }) =>
        kind === 'position' && x < right && x + width > left && y < bottom && y + height > top,
    )
    selection.value = new Set(within.map(({ id }) => id))
  },
})

watch(
  () => [scene.value?.width, scene.value?.height, camera.size.value.width] as const,
  async () => {
    if (!scene.value) return
    await nextTick()
    const box = start() && scene.value.ledges.length <= FEW ? boxOfItem(scene.value, present(start())) : undefined
    camera.frame(scene.value, box?.left)
    revealHere()
  },
  { immediate: true },
)
watch(level, (now) => {
  slope.detail.value = now === 'near' || chart.value.positions.length <= MANY ? 'full' : 'outline'
})
watch(at, revealHere)

function revealHere() {
  const box = at.value && scene.value && boxOfItem(scene.value, at.value)
  if (box) camera.reveal(box)
}

function toggle(place = at.value?.kind === 'place' ? at.value.place : undefined) {
  if (!place || !lookUp(chart.value.positions, place)) return
  const next = new Set(selection.value)
  if (!next.delete(place)) next.add(place)
  selection.value = next
}

function clear() {
  if (asking.value) close()
  else if (selection.value.size) selection.value = new Set()
  else if (focus.value.on !== 'whole') setFocus({ on: 'whole' })
  else if (panel.value) panel.value = null
  else goTo(undefined)
}

function zoom(by: 'in' | 'out' | 'fit' | 'selection') {
  if (by === 'in' || by === 'out') return void camera.by(by === 'in' ? 1.3 : 1 / 1.3)
  const ids = selection.value.size ? selection.value : slope.seen.value?.places
  const boxes = by === 'selection' && ids ? (scene.value?.ledges.filter(({ id }) => ids.has(id)) ?? []) : []
  if (!boxes.length) return void camera.fit()
  const room = 50
  camera.fit({
    left: Math.min(...boxes.map(({ x }) => x)) - 2 * room,
    top: Math.min(...boxes.map(({ y }) => y)) - room,
    right: Math.max(...boxes.map(({ x, width }) => x + width)) + room,
    bottom: Math.max(...boxes.map(({ y, height }) => y + height)) + room,
  })
}

function open() {
  const to = at.value && worksheetOf(chart.value, at.value)
  if (to) void router.push(to)
}

function onKey(event: KeyboardEvent) {
  if (event.target !== root.value) return
  const deeds = {
    ...walk,
    ...{ at: () => at.value, home: () => start() && goTo(start()), open, ask, remove: work.remove, push: work.push },
    ...{ toggle: () => toggle(), clear, zoom, pan: camera.pan, panel: togglePanel },
    focusHere: () => at.value?.kind === 'place' && setFocus({ on: 'around', place: at.value.place, exchanges: 1 }),
  }
  if (!onSlopeKey(event, deeds)) return
  event.preventDefault()
  event.stopPropagation()
}

function togglePanel(name: 'detail' | 'text' | 'bands') {
  panel.value = panel.value === name ? null : name
}

const ask = (what: Asking) => (asking.value = what)

function close() {
  asking.value = null
  void nextTick(() => root.value?.focus())
}

function onNamed(name: string) {
  const was = present(asking.value)
  close()
  if (was.for === 'position') work.newPosition(name, familyHere())
  else if (was.for === 'rename') work.renameTo(present(was.item), name)
  else if (was.for === 'name') work.draw(was.item, present(was.to), name)
}

/** The family for a new position: that of the position that has the focus. */
const familyHere = () =>
  at.value?.kind === 'place' ? lookUp(chart.value.positions, at.value.place)?.family : undefined

const promptAt = computed(() => {
  const item = asking.value?.item ?? at.value
  const box = item && scene.value && boxOfItem(scene.value, item)
  const { width, height } = camera.size.value
  const [x, y] = box
    ? camera.transform.value.apply([box.left, asking.value?.for === 'rename' ? box.top - 10 : box.bottom + 6])
    : [width / 2 - 160, 60]
  const wide = asking.value?.for === 'say' ? 570 : 330
  return { left: `${Math.max(8, Math.min(x, width - wide))}px`, top: `${Math.max(8, Math.min(y, height - 200))}px` }
})
</script>

<template>
  <div class="slope">
    <Teleport v-if="chart.positions.length && !isNarrow" defer to=".slope-view .bar-of-plan">
      <SlopeLegend :items="ALL_LEGEND" />
    </Teleport>
    <h1 class="readers-only">{{ t('slope.theSlopeOfChart', { chart: chart.title }) }}</h1>
    <SlopeTools :panel="panel" @zoom="zoom" @panel="togglePanel" @tidy="tidy" @save="save" @print="print" />
    <div class="middle">
      <div
        ref="root"
        class="canvas slope-picture"
        :class="level"
        tabindex="0"
        role="application"
        :aria-label="t('slope.theSlopeArrowKeysWalkThe')"
        data-test="slope"
        @keydown="onKey"
        @dblclick="open"
        @pointerleave="hovered = undefined"
      >
        <div class="layer">
          <svg class="picture">
            <SlopePicture :level="level" :window="inView" :drag="drag" />
          </svg>
        </div>
        <BandHeads />
        <p v-if="!chart.positions.length" class="empty">
          <I18nT keypath="slope.nothingIsChartedYet" scope="global"
            ><template #key><span class="kbd">P</span></template></I18nT
          >
          <el-button type="primary" @click="ask({ for: 'position', item: undefined })">
            {{ t('slope.nameIt') }}
          </el-button>
        </p>
        <p v-else-if="!scene" class="empty muted" role="status">{{ t('slope.layingItOut') }}</p>
      </div>
      <SlopePrompt
        v-if="asking"
        :key="`${asking.for} ${'to' in asking}`"
        :style="promptAt"
        :asking="asking"
        :name="asking.item ? work.nameOf(asking.item) : ''"
        @named="onNamed"
        @landing="(to) => asking?.for === 'landing' && ask({ for: 'name', item: asking.item, to })"
        @close="close"
      />
      <aside
        v-if="panel"
        :aria-label="{ detail: t('common.aboutIt'), text: t('slope.asText'), bands: t('slope.orderOfRows') }[panel]"
      >
        <SlopeDetail v-if="panel === 'detail'" />
        <SlopeText v-else-if="panel === 'text'" />
        <BandOrder v-else />
      </aside>
    </div>
    <SlopeStatus :hovered="hovered" @open="open" />
  </div>
</template>

<style scoped>
.slope {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.middle {
  position: relative;
  display: flex;
  flex: 1;
  min-height: 0;
}

.canvas {
  position: relative;
  flex: 1;
  min-width: 0;
  overflow: hidden;
}

.canvas:focus-visible {
  outline-offset: -3px;
}

.empty {
  position: absolute;
  inset: 30% 0 auto;
  text-align: center;
}

aside {
  width: 320px;
  padding: var(--space-16);
  border-left: 1px solid var(--line);
  background: var(--panel);
  overflow-y: auto;
}

@media (width < 768px) {
  aside {
    position: absolute;
    inset: 0;
    width: auto;
    border-left: 0;
  }
}
</style>
