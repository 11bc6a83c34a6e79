<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { named } from '../../../components/options'
import { computed, ref } from 'vue'
import { setGate } from '../../../core/chart/edits/checkpoints'
import { holder } from '../../../core/chart/hold'
import type { Checkpoint, Move } from '../../../core/chart/move'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from './sheet'
import { t } from '../../../words/inspector'

/** The release gate in holds, so that a run can be checked for it: do not let go of one before the other is on. */
const props = defineProps<{ move: Move; checkpoint: Checkpoint }>()
const { chart } = useWorksheet()
const charts = useCharts()
const ours = computed(() => (chart.value.holds ?? []).filter((hold) => holder(hold) === 'ours'))
/** Chosen while the other is not yet. */
const chosen = ref({ hold: '', next: '' })
const gate = computed(() => ({ ...chosen.value, ...props.checkpoint.gate }))

function set(part: 'hold' | 'next', id: string) {
  chosen.value = { ...gate.value, [part]: id }
  const { hold, next } = chosen.value
  charts.edit(t('inspector.gateOfMove', { move: props.move.name }), (draft) =>
    setGate(draft, props.move.id, props.checkpoint.id, hold, next),
  )
}
</script>

<template>
  <p v-if="ours.length" class="small">
    <label v-for="part in ['hold', 'next'] as const" :key="part">
      <span class="muted">{{ part === 'hold' ? t('inspector.doNotLetGoOf') : t('inspector.beforeThereIs') }}</span>
      <PickList
        :value="gate[part]"
        :options="[{ value: '', label: t('common.none') }, ...named(ours)]"
        @change="(picked) => set(part, picked)"
      />
    </label>
  </p>
</template>

<style scoped>
label {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr);
  gap: var(--space-8);
  align-items: center;
}
</style>
