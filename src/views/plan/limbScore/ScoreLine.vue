<script setup lang="ts">
import { CaretBottom, CaretRight, Plus } from '@element-plus/icons-vue'
import RowButton from '../../../components/RowButton.vue'
import { sure } from '../../../core/sure'
import { computed, ref } from 'vue'
import type { ScoreLine } from '../../../core/limbScore/bars'
import { rowName, rowWords } from '../../../core/say/bar'
import PutOn from './PutOn.vue'
import ScoreBar from './ScoreBar.vue'
import { useScore } from './score'
import { t } from '../../../words/score'

/** One limb through the run: what it does and what is done to it, and where it is free. */
const props = defineProps<{ line: ScoreLine }>()
const { played, words, beat, isOpen, toggle } = useScore()

const sides = computed(() => played.value.beats[beat.value] ?? sure(played.value.beats[0]))
const opens = computed(() => props.line.row.parts.length > 1)
const isFirst = computed(() => !props.line.part || props.line.part === props.line.row.parts[0])
/** Stretches in which nothing is on this line. */
const free = computed(() => {
  const found: { from: number; to: number }[] = []
  played.value.beats.forEach((_, i) => {
    if (props.line.bars.some(({ from, to }) => i >= from && i <= to)) return
    const last = found[found.length - 1]
    if (last?.to === i - 1) last.to = i
    else found.push({ from: i, to: i })
  })
  return found
})
const putting = ref<number | null>(null)
const stepText = (step: number) => (step === 0 ? 'start' : t('score.stepStep', { step }))
</script>

<template>
  <div class="columns line" :class="line.row.by" role="group" :aria-label="rowName(line.row, line.part)">
    <span class="limb">
      <RowButton
        v-if="opens && isFirst"
        class="opener"
        :aria-expanded="isOpen(line.row)"
        :aria-label="t('score.openRow', { row: rowName(line.row) })"
        @click="toggle(line.row)"
      >
        <component :is="isOpen(line.row) ? CaretBottom : CaretRight" class="icon" />
      </RowButton>
      <span :class="{ part: line.part }">
        <b v-if="!line.part || isFirst">{{ rowName(line.row) }}</b>
        <span v-if="line.part" class="small muted"> {{ rowName(line.row, line.part) }}</span>
        <span v-else class="small muted called"> {{ rowWords(line.row, sides, words) }}</span>
      </span>
    </span>
    <div
      class="track"
      :style="{
        gridTemplateRows: `repeat(${line.lanes}, var(--lane))`,
        gridTemplateColumns: `repeat(${played.beats.length}, 1fr)`,
        gridColumn: `2 / span ${played.beats.length}`,
      }"
    >
      <template v-for="stretch in free" :key="`free ${stretch.from}`">
        <span class="free" :style="{ gridColumn: `${stretch.from + 1} / ${stretch.to + 2}` }" aria-hidden="true"
          ><i>{{ t('score.free') }}</i></span
        >
        <RowButton
          v-for="i in stretch.to - stretch.from + 1"
          :key="i"
          class="cell"
          :style="{ gridColumn: stretch.from + i }"
          :aria-label="
            t('score.rowFromFreePutAHold', { row: rowName(line.row, line.part), from: stepText(stretch.from + i - 1) })
          "
          @click="putting = stretch.from + i - 1"
        >
          <Plus class="icon" />
        </RowButton>
      </template>
      <ScoreBar v-for="bar in line.bars" :key="`${bar.hold.id} ${bar.from} ${bar.role}`" :bar="bar" />
      <PutOn
        v-if="putting !== null"
        :style="{ gridColumn: `${putting + 1} / span 2` }"
        :line="line"
        :beat="putting"
        @close="putting = null"
      />
    </div>
  </div>
</template>

<style scoped>
.line {
  align-items: center;
  border-top: 1px solid var(--line);
}

.limb {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  padding: var(--space-4) var(--space-8) var(--space-4) 0;
  font: var(--weight-strong) var(--type-lead) / 1.15 var(--label);
}

.limb > span {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 var(--space-8);
}

.limb .small {
  font: var(--type-body) / 1.2 var(--label);
}

.opener {
  width: 18px;
  color: var(--muted);
}

.limb > span:first-child {
  margin-left: var(--space-24);
}

.track {
  position: relative;
  display: grid;
  padding: 0 0;
}

.free {
  display: flex;
  align-items: center;
  gap: var(--space-8);
  grid-row: 1;
  margin: 0 var(--space-8);
}

.free::before,
.free::after {
  flex: 1;
  border-top: 2px dashed var(--strong-line);
  content: '';
}

.free i {
  color: var(--muted);
  font: var(--type-body) / 1 var(--label);
}

.cell {
  z-index: 1;
  grid-row: 1;
  margin: var(--space-4) var(--space-4);
  border-radius: var(--corner);
  opacity: 0;
  text-align: center;
  background: var(--ours-soft);
  color: var(--ink);
}

.cell:hover,
.cell:focus-visible {
  opacity: 0.9;
}
</style>
