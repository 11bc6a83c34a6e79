<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { Move } from '../../../core/chart/move'
import type { Position } from '../../../core/chart/position'
import type { Race } from '../../../core/chart/race'
import { signed } from '../../../core/say/figureText'
import { sayBrake } from '../../../core/say/race'
import { useQuestion } from '../../../stores/questions'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

/** The holds that slow them in a race, and what each is worth here: solved with it on and with it off. */
const props = defineProps<{ move: Move; race: Race; position: Position }>()
const { chart } = useWorksheet()
const { answer, progress } = useQuestion(() => ({
  of: 'brakes' as const,
  what: { position: props.position.id, move: props.move.id, race: { ...props.race } },
}))
const rows = computed(() =>
  (answer.value ?? []).map((brake) => ({ ...brake, name: lookUp(chart.value.holds, brake.hold)?.name ?? brake.hold })),
)
</script>

<template>
  <div>
    <p v-if="progress !== null" class="muted small" role="status">{{ t('worksheet.workingOutWhatSlowsThem') }}</p>
    <ul v-if="rows.length" :aria-label="t('worksheet.whatSlowsThem')">
      <li v-for="row in rows" :key="row.hold">
        <span>
          <b>{{ row.name }}</b> <span class="small">{{ sayBrake(row) }}</span>
        </span>
        <span v-if="row.gain !== null" class="gain" :data-tip="t('worksheet.whatItIsWorthHere')">{{
          signed(row.gain)
        }}</span>
      </li>
    </ul>
    <p v-else-if="progress === null && answer" class="muted small">{{ t('worksheet.noHoldSlowsThem') }}</p>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--space-8);
  padding: var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
}

b {
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}

.gain {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}
</style>
