<script setup lang="ts">
import { ZoomIn, ZoomOut } from '@element-plus/icons-vue'
import { computed, ref } from 'vue'
import { useToolbar } from '../../../components/arrowKeys'
import type { Focus } from '../../../core/slope/focus'
import { lookUp } from '../../../core/chart/lookUp'
import { useIsNarrow } from '../../parts/layout/room'
import SaveMenu from './SaveMenu.vue'
import { useSlope } from './slope'
import { t } from '../../../words/slope'

/** What stands out, and what is done with the whole picture. */
const props = defineProps<{ panel: string | null }>()
const emit = defineEmits<{
  zoom: [by: 'in' | 'out' | 'fit' | 'selection']
  panel: [name: 'detail' | 'text' | 'bands']
  tidy: []
  save: [kind: 'svg' | 'png']
  print: [pages: 'one' | 'tiled']
}>()
const isNarrow = useIsNarrow()
const root = ref<HTMLElement>()
useToolbar(root)
/** The picture is not in view: what is done with it is not offered either. */
const isTold = computed(() => isNarrow.value && props.panel === 'text')
const { chart, focus, at, setFocus, showsUnused } = useSlope()

const KINDS = [
  { on: 'whole', name: t('slope.whole') },
  { on: 'run', name: t('slope.bestRun') },
  { on: 'leaks', name: t('slope.leaks') },
  { on: 'traps', name: t('slope.traps') },
  { on: 'loose', name: t('slope.looseEnds') },
] as const

/** The position that one stands on or at, else the one that is in focus. */
const here = computed(() => {
  const item = at.value
  const id =
    item?.kind === 'place'
      ? item.place
      : item?.kind === 'move'
        ? lookUp(chart.value.moves, item.move)?.from
        : item?.position
  return (
    lookUp(chart.value.positions, id) ??
    (focus.value.on === 'around' ? lookUp(chart.value.positions, focus.value.place) : undefined)
  )
})
const exchanges = computed(() => (focus.value.on === 'around' ? focus.value.exchanges : 0))

function setAround(n: 1 | 2 | 3) {
  if (here.value) setFocus({ on: 'around', place: here.value.id, exchanges: n } satisfies Focus)
}

/** Ways to save or print the picture. */
const MENU = [
  { command: 'svg', says: t('slope.saveAsSvg') },
  { command: 'png', says: t('slope.saveAsPng') },
  { command: 'one', says: t('slope.printOnOnePage') },
  { command: 'tiled', says: t('slope.printOnSeveralPages') },
] as const

function choose(command: (typeof MENU)[number]['command']) {
  if (command === 'svg' || command === 'png') emit('save', command)
  else emit('print', command)
}
</script>

<template>
  <div ref="root" class="tools" role="toolbar" :aria-label="t('slope.thePicture')">
    <div class="group" role="group" :aria-label="t('slope.whatStandsOut')">
      <el-button
        v-for="kind in KINDS"
        :key="kind.on"
        :aria-pressed="focus.on === kind.on"
        @click="setFocus({ on: kind.on })"
      >
        {{ kind.name }}
      </el-button>
    </div>
    <div v-if="here" class="group" role="group" :aria-label="t('slope.aroundHere', { here: here.name })">
      <span class="label here" :data-tip="here.name">{{ t('slope.exchangesAroundIt') }}</span>
      <el-button
        v-for="n in [1, 2, 3] as const"
        :key="n"
        :aria-pressed="exchanges === n"
        :aria-label="t('slope.nExchangesAroundHere', { n, here: here.name })"
        @click="setAround(n)"
      >
        {{ n }}
      </el-button>
    </div>
    <span class="space" />
    <template v-if="!isTold">
      <div class="group" role="group" :aria-label="t('slope.zoom')">
        <el-button
          :icon="ZoomOut"
          :aria-label="t('slope.zoomOut')"
          :data-tip="t('slope.zoomOut2')"
          @click="emit('zoom', 'out')"
        />
        <el-button :data-tip="t('slope.showAllOfIt0')" @click="emit('zoom', 'fit')">
          {{ t('slope.fit') }}
        </el-button>
        <el-button
          :icon="ZoomIn"
          :aria-label="t('slope.zoomIn')"
          :data-tip="t('slope.zoomIn2')"
          @click="emit('zoom', 'in')"
        />
      </div>
      <el-button :aria-pressed="showsUnused" @click="showsUnused = !showsUnused">{{ t('slope.unusedToo') }}</el-button>
      <el-button :data-tip="t('slope.layItOutAnewWhatYou')" @click="emit('tidy')">
        {{ t('slope.straighten') }}
      </el-button>
      <el-button :aria-pressed="panel === 'bands'" @click="emit('panel', 'bands')">
        {{ t('slope.orderOfRows') }}
      </el-button>
    </template>
    <el-button :aria-pressed="panel === 'text'" :data-tip="t('slope.theSameAsTextT')" @click="emit('panel', 'text')">
      {{ t('slope.text') }}
    </el-button>
    <el-button :aria-pressed="panel === 'detail'" :data-tip="t('slope.aboutItI')" @click="emit('panel', 'detail')">
      {{ t('slope.aboutIt') }}
    </el-button>
    <SaveMenu :ways="MENU" @choose="choose" />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
  padding: var(--space-8) var(--space-12);
  border-bottom: 1px solid var(--line);
  background: var(--panel);
}

.group {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: center;
}

.space {
  flex: 1;
}

.here {
  padding: 0 var(--space-8) 0 var(--space-12);
}

.el-button[aria-pressed='true'] {
  border-color: var(--ours);
  background: var(--ours);
  color: var(--ours-ink);
}
</style>
