<script setup lang="ts">
import { ArrowDown, ArrowUp, Rank } from '@element-plus/icons-vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import IconButton from '../../../components/IconButton.vue'
import RowButton from '../../../components/RowButton.vue'
import type { TimedBlock } from '../../../core/club/classPlan'
import type { Session } from '../../../core/club/session'
import { useCharts } from '../../../stores/charts'
import { aboutText, blockTitle, roundsText } from '../../parts/club/blocks'
import { useClass } from './class'
import { refusedText } from '../../parts/club/refused'
import { t } from '../../../words/train'

/** A block in its hour: from when to when, what, and how. */
const props = defineProps<{ timed: TimedBlock; session: Session }>()
const emit = defineEmits<{ show: []; move: [by: 1 | -1] }>()
const charts = useCharts()
const route = useRoute()
const { refusedIn } = useClass()
const block = computed(() => props.timed.block)
const refused = computed(() => refusedIn(block.value))
const isHere = computed(() => route.query.block === block.value.id)
const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`

function onKey(event: KeyboardEvent) {
  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
  event.preventDefault()
  emit('move', event.key === 'ArrowUp' ? -1 : 1)
}
</script>

<template>
  <li class="panel block keep-together" :class="[block.kind, { here: isHere }]">
    <Rank class="grip icon off-paper" aria-hidden="true" />
    <RowButton
      class="row"
      :aria-current="isHere ? 'true' : undefined"
      :data-tip="t('train.altArrowsMoveIt')"
      @click="emit('show')"
      @keydown="onKey"
    >
      <span class="time">{{ clock(timed.from) }}</span>
      <span class="what">
        <b>{{ blockTitle(block) }}</b>
        <span v-if="aboutText(charts.chart, block)" class="about">{{ aboutText(charts.chart, block) }}</span>
        <span class="muted small how">
          {{ roundsText(block) }}
          <template v-if="timed.waves > 1"> {{ t('train.inWaves', { waves: timed.waves }) }}</template>
        </span>
        <span v-for="point in block.points ?? []" :key="point" class="small point">{{ point }}</span>
        <span v-if="block.mistake" class="small point">{{ t('train.theMistake', { mistake: block.mistake }) }}</span>
        <span v-for="one in refused" :key="one.tag + one.because" class="small refused">{{ refusedText(one) }}</span>
      </span>
      <span class="minutes">{{ t('train.nMinutes', { n: block.minutes }) }}</span>
    </RowButton>
    <span class="tools off-paper">
      <IconButton :icon="ArrowUp" :name="t('train.blockUp', { block: blockTitle(block) })" @click="emit('move', -1)" />
      <IconButton
        :icon="ArrowDown"
        :name="t('train.blockDown', { block: blockTitle(block) })"
        @click="emit('move', 1)"
      />
    </span>
  </li>
</template>

<style scoped>
.block {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--space-4);
  align-items: center;
  padding: 0 var(--space-8);
}

.here {
  border-color: var(--ours);
}

.rounds-from,
.free-rounds {
  border-left: 4px solid var(--theirs);
}

.watch,
.try,
.stop-and-mend {
  border-left: 4px solid var(--ours);
}

.grip {
  color: var(--muted);
  cursor: grab;
}

.row {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  gap: var(--space-8);
  align-items: baseline;
  min-height: 44px;
  padding: var(--space-8) var(--space-4);
}

.time {
  color: var(--muted);
  font: var(--type-lead) / 1.3 var(--label);
}

.what b {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
}

.about,
.how {
  margin-left: var(--space-8);
}

.point,
.refused {
  display: block;
}

.refused {
  color: var(--caution);
}

.minutes {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  white-space: nowrap;
}

@media (width < 768px) {
  .grip {
    display: none;
  }

  .block {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .tools {
    display: grid;
  }
}
</style>
