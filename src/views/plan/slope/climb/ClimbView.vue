<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import type { Chair } from '../../../../core/questions/climbs'
import { exchangeOf } from '../../../../core/game/scenario'
import { blowSaid } from '../../../../core/say/beaten'
import { present } from '../../../../core/sure'
import { useCharts } from '../../../../stores/charts'
import { useOtherClimb } from '../../../../stores/otherClimb'
import { useFigures } from '../../../../stores/figures'
import OfTheExchange from '../../../parts/figures/OfTheExchange.vue'
import { useIsNarrow } from '../../../parts/layout/room'
import { captionsOf, PLAN_LEGEND, THEIR_LEGEND } from '../legend'
import { captioned, copied, savePicture } from '../saving'
import SlopeLegend from '../SlopeLegend.vue'
import ClimbCard from './ClimbCard.vue'
import ClimbList from './ClimbList.vue'
import ClimbRoom from './ClimbRoom.vue'
import ClimbTools from './ClimbTools.vue'
import { ribbonSentence, useBefore, useClimb } from './climb'
import { useOver } from './over'
import { t } from '../../../../words/slope'

/** Our plan as it climbs and falls, or theirs through us: a picture where there is room for one, else step by step. */
const charts = useCharts()
const figures = useFigures()
const chair = ref<Chair>('ours')
const plan = useClimb()
const { found, progress } = useOtherClimb(() =>
  chair.value === 'theirs' && charts.chart && figures.scenario
    ? { chart: charts.chart, scenario: exchangeOf(figures.scenario), chair: 'theirs' }
    : null,
)
const { chosen, options, looked, name } = useOver(() => chair.value)
const { found: foundOver } = useOtherClimb(() => looked.value)
const climb = computed(() => (chair.value === 'ours' ? plan.value : (found.value?.climb ?? null)))
const before = useBefore(
  () => climb.value,
  () => `${charts.chart?.id} ${chair.value}`,
)
/** What is laid over it: what one has chosen, or else for a moment what was before a change. */
const over = computed(() => foundOver.value?.climb ?? before.value)
/** The fork of a move is told from our chair. */
const forks = computed(() => found.value?.fromTheirs?.ours ?? plan.value)
const ways = computed(() => {
  const { chart } = charts
  return chart ? (found.value?.fromTheirs?.blows ?? []).map((blow) => blowSaid(chart, blow)) : []
})

const root = ref<HTMLElement>()
const { width, height } = useElementSize(root)
const isNarrow = useIsNarrow()
/** Pressed, or only pointed at: whose fork is shown. */
const move = ref<string | null>(null)
const pointed = ref<string | null>(null)
const shown = computed(() => move.value ?? pointed.value)
const areOthersOpen = ref(false)
/** Smaller than this it cannot be read; it is scrolled then. */
const [LEAST_WIDTH, LEAST_HEIGHT] = [860, 480]
const size = computed(() => ({
  width: Math.max(LEAST_WIDTH, width.value),
  height: Math.max(LEAST_HEIGHT, height.value - 4),
}))
const room = ref<InstanceType<typeof ClimbRoom>>()
/** What is used too seldom to be drawn, or had to make room, the most often first. */
const others = computed(() => {
  if (!climb.value) return []
  const { moves, replies, folded } = climb.value
  const drawn = room.value?.atRest
  return [...moves, ...replies, ...folded.moves, ...folded.replies]
    .filter(({ key }) => !drawn?.has(key))
    .toSorted((a, b) => b.per - a.per)
})
/** Where one began to point at what is shown, in the room of the picture; null by keys. */
const from = ref<{ x: number; y: number } | null>(null)
function follow({ clientX, clientY }: PointerEvent) {
  const box = root.value?.getBoundingClientRect()
  if (box && !shown.value) from.value = { x: clientX - box.left, y: clientY - box.top }
}
/** A card is so wide and at most so high, and so far from the pointer. */
const [CARD_WIDTH, CARD_HEIGHT, APART] = [360, 300, 28]
/** Beside the pointer, on the side where there is room. */
const beside = computed(() => {
  if (!from.value) return undefined
  const { x, y } = from.value
  const isLeft = x > width.value / 2
  return {
    left: `${isLeft ? Math.max(0, x - APART - CARD_WIDTH) : x + APART}px`,
    top: `${Math.max(0, Math.min(y + APART, height.value - CARD_HEIGHT))}px`,
    right: 'auto',
    bottom: 'auto',
  }
})
const legend = computed(() => (chair.value === 'ours' ? PLAN_LEGEND : THEIR_LEGEND))

async function save(kind: 'svg' | 'png') {
  move.value = null
  await nextTick()
  const { chart } = charts
  const picture = root.value?.querySelector<SVGSVGElement>('.climb')
  if (!chart || !picture) return
  const ground = getComputedStyle(document.documentElement).getPropertyValue('--paper')
  const whole = captioned(copied(picture, ground), captionsOf(chart, charts.isFlipped, legend.value))
  const failed = await savePicture(whole, chart.title, kind)
  if (failed) charts.tell(failed, 'warning')
}
const print = () => window.print()
const look = (from: Chair) => {
  chair.value = from
  move.value = null
}
</script>

<template>
  <section class="climb-view prints-wide" :aria-label="t('slope.ourPlan')">
    <h1 class="readers-only">{{ t('slope.ourPlan') }}</h1>
    <Teleport defer to=".slope-view .bar-of-plan">
      <ClimbTools
        v-bind="{ chair, options }"
        :over="chosen"
        :is-told="isNarrow"
        @chair="look"
        @over="(what) => (chosen = what)"
        @save="save"
        @print="print"
      />
    </Teleport>
    <OfTheExchange v-if="chair === 'theirs'" class="ways" />
    <p v-if="ways.length" class="ways">{{ t('slope.theirBestWay', { ways: ways.join('; ') }) }}</p>
    <p v-if="!figures.figures || climb?.ledges.length === 0" class="muted waits">{{ t('slope.noPlanYet') }}</p>
    <p v-else-if="!climb" class="muted waits" role="status">
      {{
        progress === null
          ? t('slope.layingItOut')
          : t('common.workingItOutProgress', { progress: Math.round(progress * 100) })
      }}
    </p>
    <ClimbList v-else-if="isNarrow" :climb="climb" :forks="present(forks)" :move="move" @pick="(one) => (move = one)" />
    <div v-else ref="root" class="room" @pointermove="follow">
      <ClimbRoom
        v-if="width"
        ref="room"
        v-bind="{ climb, over, chair }"
        :is-of-before="!foundOver"
        :width="size.width"
        :height="size.height"
        :move="shown"
        :pressed="move"
        :start="figures.scenario?.start ?? ''"
        @pick="(one) => (move = one)"
        @point="(one) => (pointed = one)"
      />
      <ClimbCard
        v-if="shown && forks"
        :climb="forks"
        :move="shown"
        :is-pressed="move !== null"
        :style="beside"
        @close="move = null"
      />
    </div>
    <SlopeLegend v-if="climb" class="below" :items="legend">
      <span v-if="over" class="outline">{{
        name ? t('slope.inOutlines', { name }) : t('slope.inOutlinesBefore')
      }}</span>
      <el-button
        v-if="others.length"
        class="off-paper"
        link
        :aria-expanded="areOthersOpen"
        @click="areOthersOpen = !areOthersOpen"
        >{{ t('slope.nOthers', { n: others.length }) }}</el-button
      >
    </SlopeLegend>
    <ul v-if="climb && areOthersOpen" class="others small" :aria-label="t('slope.nOthers', { n: others.length })">
      <li v-for="one in others" :key="one.key">{{ ribbonSentence(one) }}</li>
    </ul>
  </section>
</template>

<style scoped>
.climb-view {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
}

.room {
  position: relative;
  flex: 1;
  min-height: 0;
  overflow: auto;
}

@media print {
  .room {
    overflow: visible;
  }

  .room > .climb {
    width: 100%;
    height: auto;
    max-height: 142mm;
  }
}

.others {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: var(--space-4) var(--space-16);
  max-height: 30%;
  padding: 0 var(--space-16) var(--space-8);
  overflow-y: auto;
}

.waits {
  padding: var(--space-24);
}

.below {
  padding: var(--space-8) var(--space-16);
  border-top: 1px solid var(--line);
}

.ways {
  padding: var(--space-8) var(--space-16) 0;
}

.outline::before {
  display: inline-block;
  width: 28px;
  height: 10px;
  margin-right: var(--space-8);
  border: 1px dashed var(--muted);
  border-radius: var(--corner);
  content: '';
}
</style>
