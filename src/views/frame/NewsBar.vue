<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { problemText } from '../../core/problem'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import RenewedNote from './RenewedNote.vue'
import UnsavedNotes from './UnsavedNotes.vue'
import { t } from '../../words'

/** What the coach should know now: news of other tabs, a failed write, a chart that cannot be computed. */
const charts = useCharts()
const figures = useFigures()
const shown = ref(charts.news)
let timer: ReturnType<typeof setTimeout> | undefined
/** Beside where it happened, as far as there is room. */
const WIDTH = 460
const HEIGHT = 64
const where = computed(() => {
  const place = shown.value?.place
  if (!place) return undefined
  const left = Math.max(8, Math.min(place.left, window.innerWidth - WIDTH - 8))
  const top = Math.max(8, Math.min(place.top, window.innerHeight - HEIGHT - 8))
  return { left: `${left}px`, top: `${top}px` }
})

watch(
  () => charts.news,
  (news) => {
    shown.value = news
    clearTimeout(timer)
    timer = setTimeout(() => (shown.value = null), 7000)
  },
)
</script>

<template>
  <RenewedNote />
  <UnsavedNotes />
  <div v-if="figures.stale" class="news warning" role="alert">
    <span>
      {{ figures.figures ? t('frame.whatYouSeeIsFromBefore') : t('frame.noFigures') }}: {{ figures.stale }}.
    </span>
    <el-button @click="figures.solve()">{{ t('frame.tryAgain') }}</el-button>
  </div>
  <div v-if="figures.problems.length" class="news warning" role="alert">
    <span>
      {{ t('frame.noFigures2') }}
      <template v-for="(problem, i) in figures.problems.slice(0, 3)" :key="i"
        >{{ i ? '; ' : '' }}{{ problemText(problem) }}</template
      >
      <template v-if="figures.problems.length > 3"
        >&nbsp;{{ t('common.andNMore', { n: figures.problems.length - 3 }) }}</template
      >.
    </span>
  </div>
  <div class="toast" :class="{ there: where }" :style="where" aria-live="polite">
    <p v-if="shown" class="news" :class="shown.kind">
      {{ shown.text }}
      <el-button v-if="charts.steps.undo && shown.action === 'undo'" @click="charts.undo()">
        {{ t('frame.undo') }}
      </el-button>
      <button type="button" class="plain" :aria-label="t('frame.close')" @click="shown = null">×</button>
    </p>
  </div>
</template>

<style scoped>
.toast {
  position: fixed;
  z-index: 3000;
  right: 16px;
  bottom: 16px;
  max-width: 460px;
}

.there {
  right: auto;
  bottom: auto;
}

.toast .news {
  border: 1px solid var(--strong-line);
  border-radius: var(--corner);
  box-shadow: var(--shadow);
}
</style>
