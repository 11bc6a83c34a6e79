<script setup lang="ts">
import { isChecked } from '../../../components/events'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import ProbeFields from '../../../components/ProbeFields.vue'
import { setProbe } from '../../../core/chart/edits/probe'
import type { Move } from '../../../core/chart/move'
import type { Probe } from '../../../core/chart/probe'
import { usualProbe } from '../../../core/game/scenario'
import { useCharts } from '../../../stores/charts'

/** How this move goes when it is only shown, where that is not as in the whole chart. */
const props = defineProps<{ move: Move }>()
const charts = useCharts()
const usual = computed(() => usualProbe(present(charts.chart).settings))
const says = computed(() => (props.move.probe?.never ? 'never' : props.move.probe ? 'as set here' : 'as usual'))

const set = (probe: Probe) =>
  charts.edit(`How ${props.move.name} is shown`, (draft) => setProbe(draft, props.move.id, probe))
</script>

<template>
  <details class="across">
    <summary class="label">
      Only shown: <span>{{ says }}</span>
    </summary>
    <label class="never">
      <input
        type="checkbox"
        :checked="move.probe?.never ?? false"
        @change="set({ ...move.probe, never: isChecked($event) })"
      />
      it cannot be shown: one goes through with it, or does not begin
    </label>
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
  margin-bottom: 6px;
  font-size: 15px;
}
</style>
