<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { setWhen } from '../../../core/chart/edits/cues'
import { toMoveId, type CueId } from '../../../core/chart/ids'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

/** A list to pick from is heavy, and seldom asked for. */
const MovePick = defineAsyncComponent(() => import('./MovePick.vue'))

/** The moves that are tried only while something is seen. */
const props = defineProps<{ cue: CueId; name: string }>()
const { moves } = useWorksheet()
const charts = useCharts()
const cold = computed(() => moves.value.filter(({ reply }) => !reply))
const waiting = computed(() => cold.value.flatMap(({ id, when }) => (when?.includes(props.cue) ? id : [])))
const isPicking = ref(false)
const names = computed(() =>
  cold.value
    .filter(({ id }) => waiting.value.includes(id))
    .map(({ name }) => name)
    .join(', '),
)
const options = computed(() => cold.value.map(({ id, name }) => ({ value: id, label: name })))

function set(picked: string[]) {
  const { cue, name } = props
  const changed = cold.value.filter(({ id }) => picked.includes(id) !== waiting.value.includes(id))
  charts.edit(t('worksheet.whatIsTriedWhenWeSeeName', { name }), (draft) => {
    for (const { id } of changed) setWhen(draft, toMoveId(id), cue, picked.includes(id))
  })
}
</script>

<template>
  <span class="off-paper waiting">
    <MovePick
      v-if="isPicking"
      :picked="waiting"
      :options="options"
      :label="t('worksheet.triedOnlyWhenWeSeeName', { name })"
      @change="set"
      @close="isPicking = false"
    />
    <el-button v-else text :aria-label="t('worksheet.triedOnlyWhenWeSeeName', { name })" @click="isPicking = true">
      {{ names ? t('worksheet.onlyThen', { names }) : t('worksheet.triedOnlyThen') }}
    </el-button>
  </span>
</template>

<style scoped>
.waiting {
  display: flex;
  flex: 1 1 260px;
  min-width: 0;
}

.el-button {
  max-width: 100%;
  height: auto;
  min-height: var(--control);
  padding: 0 var(--space-8);
  white-space: normal;
  text-align: left;
}
</style>
