<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import ProbeFields from '../../../components/ProbeFields.vue'
import { setProbe } from '../../../core/chart/edits/probe'
import type { Move } from '../../../core/chart/move'
import type { Probe } from '../../../core/chart/probe'
import { usualProbe } from '../../../core/game/scenario'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/inspector'

/** How this move goes when it is only shown, where that is not as in the whole chart. */
const props = defineProps<{ move: Move }>()
const charts = useCharts()
const usual = computed(() => usualProbe(present(charts.chart).settings))
const says = computed(() =>
  props.move.probe?.never ? t('common.never') : props.move.probe ? t('inspector.asSetHere') : t('inspector.asUsual'),
)

const set = (probe: Probe) =>
  charts.edit(t('inspector.howMoveIsShown', { move: props.move.name }), (draft) =>
    setProbe(draft, props.move.id, probe),
  )
</script>

<template>
  <details class="across">
    <summary class="label">
      {{ t('inspector.onlyShown') }} <span>{{ says }}</span>
    </summary>
    <el-checkbox
      class="never"
      :model-value="move.probe?.never ?? false"
      @change="(on: boolean) => set({ ...move.probe, never: on })"
    >
      {{ t('inspector.itCannotBeShownOneGoes') }}</el-checkbox
    >
    <ProbeFields
      v-if="!move.probe?.never"
      :probe="move.probe"
      :usual="usual"
      @change="set"
      @refuse="(reason) => charts.tell(reason, 'warning')"
    />
  </details>
</template>

<style scoped>
summary span {
  color: var(--ink);
}

.never {
  display: block;
  margin-bottom: var(--space-8);
  font-size: var(--type-body);
}
</style>
