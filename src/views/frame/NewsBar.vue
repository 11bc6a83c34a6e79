<script setup lang="ts">
import { whenever } from '@vueuse/core'
import { defineAsyncComponent, ref } from 'vue'
import { problemText } from '../../core/problem'
import { useFigures } from '../../stores/figures'
import RenewedNote from './RenewedNote.vue'
import UnsavedNotes from './UnsavedNotes.vue'
import { t } from '../../words'

/** What stays until it is mended: a newer build, a failed write, a chart that cannot be computed. */
const figures = useFigures()
/** Looked after once there is something to lose and all else is there. */
const isQuiet = ref(false)
const QUIET_AFTER = 4000
whenever(
  () => figures.figures !== null,
  () => void setTimeout(() => (isQuiet.value = true), QUIET_AFTER),
  { immediate: true, once: true },
)
const BackupNote = defineAsyncComponent(() => import('./BackupNote.vue'))
</script>

<template>
  <RenewedNote />
  <UnsavedNotes />
  <BackupNote v-if="isQuiet" />
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
</template>
