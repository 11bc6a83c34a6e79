<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { computed } from 'vue'
import NextStep from './NextStep.vue'
import ScoreFoot from './ScoreFoot.vue'
import ScoreLine from './ScoreLine.vue'
import { useHeads } from './heads'
import { useScore } from './score'
import { t } from '../../../words/score'

/** The score: a line for each limb, a column for each step; what limbs are called changes where the sides do. */
const { lines, beat } = useScore()
const heads = useHeads()
const columns = computed(() => `170px repeat(${heads.value.length}, minmax(104px, 1fr)) 44px`)
const firstOfTheirs = computed(() => lines.value.findIndex(({ row }) => row.by === 'theirs'))
</script>

<template>
  <div class="scrolls panel">
    <div
      class="score"
      role="group"
      :aria-label="t('score.theScore')"
      :style="{ '--columns': columns, '--count': heads.length, minWidth: `${170 + heads.length * 104 + 44}px` }"
    >
      <div class="columns heads">
        <span class="corner muted small">{{ t('score.pressAStepForItsWords') }}</span>
        <RowButton
          v-for="(head, i) in heads"
          :key="i"
          class="head"
          :class="{ chosen: i === beat, theirs: head.isTheirs }"
          :aria-pressed="i === beat"
          :data-tip="
            head.where && head.where !== head.name
              ? t('score.headThenInWhere', { head: head.name, where: head.where })
              : head.name
          "
          @click="beat = i"
        >
          <span class="number"
            >{{ i === 0 ? t('common.start2') : i
            }}<b v-if="head.remarks" class="flag" :data-tip="t('score.remarksRemarks', { remarks: head.remarks })">
              !</b
            ></span
          >
          {{ head.name }}
          <span v-if="head.turned" class="turned">{{ t('score.sidesChange') }}</span>
        </RowButton>
        <NextStep />
      </div>
      <ScoreLine
        v-for="(line, i) in lines"
        :key="`${line.row.by} ${line.row.limb} ${line.part ?? ''}`"
        :line="line"
        :class="{ divided: i === firstOfTheirs }"
      />
      <ScoreFoot />
    </div>
  </div>
</template>

<style scoped>
.scrolls {
  --lane: 32px;

  padding: var(--space-8) var(--space-12) var(--space-12);
  overflow-x: auto;
}

.score :deep(.columns) {
  display: grid;
  grid-template-columns: var(--columns);
}

.heads {
  align-items: end;
  padding-bottom: var(--space-8);
}

.score :deep(.columns > :first-child) {
  position: sticky;
  left: 0;
  z-index: 4;
  align-self: stretch;
  align-content: center;
  background: var(--panel);
  box-shadow: -12px 0 var(--panel);
}

.corner {
  align-self: end;
  padding-bottom: var(--space-4);
}

.head {
  display: grid;
  align-self: stretch;
  align-content: end;
  margin: 0 var(--space-4);
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner) var(--corner) 0 0;
  border-bottom: 3px solid transparent;
  font: var(--weight-strong) var(--type-body) / 1.15 var(--label);
  text-align: left;
  overflow-wrap: anywhere;
}

.head:hover {
  background: var(--ours-soft);
}

.head.chosen {
  border-bottom-color: var(--ours);
}

.head.theirs {
  color: var(--theirs);
}

.number {
  color: var(--muted);
  font: var(--weight-strong) var(--type-body) / 1.2 var(--label);
}

.flag {
  color: var(--leak);
}

.turned {
  justify-self: start;
  margin-top: var(--space-4);
  padding: 0 var(--space-8);
  border: 1px dashed var(--strong-line);
  border-radius: var(--corner);
  color: var(--muted);
  font-size: var(--type-small);
}

.divided {
  margin-top: var(--space-8);
  border-top: 3px solid var(--strong-line);
}

@media print {
  .scrolls {
    --lane: 32px;

    padding: 0;
    border: 0;
    overflow: visible;
  }

  /* As wide as the page, however many steps there are. */
  .score {
    min-width: 0 !important;
  }

  .score :deep(.columns) {
    grid-template-columns: 130px repeat(var(--count), minmax(0, 1fr)) 0;
  }
}
</style>
