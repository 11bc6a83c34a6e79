<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useFigures } from '../../../../stores/figures'
import { useIsNarrow } from '../../../parts/layout/room'
import ClimbCard from './ClimbCard.vue'
import ClimbList from './ClimbList.vue'
import ClimbPicture from './ClimbPicture.vue'
import { ribbonSentence, useClimb } from './climb'
import { t } from '../../../../words/slope'

/** Our plan as it climbs and falls: a picture where there is room for one, else step by step. */
const figures = useFigures()
const climb = useClimb()
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
/** What is used too seldom to be drawn, the most often first. */
const others = computed(() => {
  const { moves = [], replies = [] } = climb.value?.folded ?? {}
  return [...moves, ...replies].toSorted((a, b) => b.per - a.per)
})
</script>

<template>
  <section class="climb-view prints-wide" :aria-label="t('slope.ourPlan')">
    <h1 class="readers-only">{{ t('slope.ourPlan') }}</h1>
    <p v-if="!figures.figures || climb?.ledges.length === 0" class="muted waits">{{ t('slope.noPlanYet') }}</p>
    <p v-else-if="!climb" class="muted waits" role="status">{{ t('slope.layingItOut') }}</p>
    <ClimbList v-else-if="isNarrow" :climb="climb" :move="move" @pick="(one) => (move = one)" />
    <div v-else ref="root" class="room">
      <ClimbPicture
        v-if="width"
        :climb="climb"
        :width="size.width"
        :height="size.height"
        :move="shown"
        :pressed="move"
        :start="figures.scenario?.start ?? ''"
        @pick="(one) => (move = one)"
        @point="(one) => (pointed = one)"
      />
      <ClimbCard v-if="shown" :climb="climb" :move="shown" :is-pressed="move !== null" @close="move = null" />
    </div>
    <p v-if="climb" class="legend small">
      <span><i class="move" />{{ t('slope.legendMove') }}</span>
      <span><i class="fall" />{{ t('slope.legendFall') }}</span>
      <span><i class="rise" />{{ t('slope.legendRise') }}</span>
      <el-button v-if="others.length" link :aria-expanded="areOthersOpen" @click="areOthersOpen = !areOthersOpen">{{
        t('slope.nOthers', { n: others.length })
      }}</el-button>
    </p>
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
    max-height: 125mm;
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

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-24);
  padding: var(--space-8) var(--space-16);
  border-top: 1px solid var(--line);
}

i {
  display: inline-block;
  width: 28px;
  height: 10px;
  margin-right: var(--space-8);
  border-radius: var(--corner);
  background: var(--track);
}

.fall {
  background: repeating-linear-gradient(45deg, var(--leak) 0 3px, var(--caution-soft) 3px 6px);
}

.rise {
  background: repeating-linear-gradient(90deg, var(--trap) 0 3px, transparent 3px 6px);
}
</style>
