<script setup lang="ts">
import { computed } from 'vue'
import { setWhen } from '../../../core/chart/edits/cues'
import { toMoveId, type CueId } from '../../../core/chart/ids'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words'

/** The moves that are tried only while something is seen. */
const props = defineProps<{ cue: CueId; name: string }>()
const { moves } = useWorksheet()
const charts = useCharts()
const cold = computed(() => moves.value.filter(({ reply }) => !reply))
const waiting = computed(() => cold.value.flatMap(({ id, when }) => (when?.includes(props.cue) ? id : [])))
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
  <el-select-v2
    class="off-paper"
    :model-value="waiting"
    :options="options"
    multiple
    :placeholder="t('worksheet.triedOnlyThen')"
    :aria-label="t('worksheet.triedOnlyWhenWeSeeName', { name })"
    @update:model-value="set"
  />
</template>

<style scoped>
.el-select {
  flex: 1 1 260px;
  max-width: 420px;
}
</style>
