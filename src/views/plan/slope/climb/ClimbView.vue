<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useFigures } from '../../../../stores/figures'
import { useIsNarrow } from '../../../parts/layout/room'
import ClimbCard from './ClimbCard.vue'
import ClimbList from './ClimbList.vue'
import ClimbPicture from './ClimbPicture.vue'
import { useClimb } from './climb'
import { t } from '../../../../words/slope'

/** Our plan as it climbs and falls: a picture where there is room for one, else step by step. */
const figures = useFigures()
const climb = useClimb()
const root = ref<HTMLElement>()
const { width, height } = useElementSize(root)
const isNarrow = useIsNarrow()
const move = ref<string | null>(null)
/** Smaller than this it cannot be read; it is scrolled then. */
const [LEAST_WIDTH, LEAST_HEIGHT] = [860, 480]
const size = computed(() => ({
  width: Math.max(LEAST_WIDTH, width.value),
  height: Math.max(LEAST_HEIGHT, height.value - 4),
}))
const folded = computed(() => (climb.value ? climb.value.folded.moves.length + climb.value.folded.replies.length : 0))
</script>

<template>
  <section class="climb-view prints-wide" :aria-label="t('slope.ourPlan')">
    <p v-if="!figures.figures || climb?.ledges.length === 0" class="muted waits">{{ t('slope.noPlanYet') }}</p>
    <p v-else-if="!climb" class="muted waits" role="status">{{ t('slope.layingItOut') }}</p>
    <ClimbList v-else-if="isNarrow" :climb="climb" :move="move" @pick="(one) => (move = one)" />
    <div v-else ref="root" class="room">
      <ClimbPicture
        v-if="width"
        :climb="climb"
        :width="size.width"
        :height="size.height"
        :move="move"
        :start="figures.scenario?.start ?? ''"
        @pick="(one) => (move = one)"
      />
      <ClimbCard v-if="move" :climb="climb" :move="move" @close="move = null" />
    </div>
    <p v-if="climb" class="legend small">
      <span><i class="move" />{{ t('slope.legendMove') }}</span>
      <span><i class="fall" />{{ t('slope.legendFall') }}</span>
      <span><i class="rise" />{{ t('slope.legendRise') }}</span>
      <span v-if="folded" class="muted">{{ t('slope.nOthers', { n: folded }) }}</span>
    </p>
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
  }
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
