<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import { lookUp } from '../../../core/chart/lookUp'
import { useCharts } from '../../../stores/charts'
import HoldsTabs from '../../parts/body/HoldsTabs.vue'
import { useIsNarrow } from '../../parts/layout/room'
import FilmStrip from './FilmStrip.vue'
import NowOrLater from './NowOrLater.vue'
import RemarkList from './RemarkList.vue'
import ScoreGrid from './ScoreGrid.vue'
import ScoreHead from './ScoreHead.vue'
import ScoreSteps from './ScoreSteps.vue'
import StepFigure from './StepFigure.vue'
import { provideScore } from './score'

const { run } = provideScore()
const isNarrow = useIsNarrow()
const charts = useCharts()
/** Of the moves of the run. */
const cautions = computed(() =>
  cautionLines((run.value?.steps ?? []).flatMap(({ move }) => lookUp(present(charts.chart).moves, move) ?? [])),
)
</script>

<template>
  <div class="score prints-wide">
    <HoldsTabs class="off-paper" at="score" />
    <ScoreHead />
    <template v-if="run">
      <div class="printed">
        <ScoreSteps v-if="isNarrow" />
        <ScoreGrid v-else />
        <FilmStrip />
        <StepFigure />
        <RemarkList />
        <CautionLines :lines="cautions" />
      </div>
      <NowOrLater :key="run.id" class="off-paper" />
    </template>
  </div>
</template>

<style scoped>
.printed {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-12);
}

.score {
  display: grid;
  align-content: start;
  grid-auto-rows: max-content;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-12);
  height: 100%;
  padding: var(--space-16) var(--space-16) var(--space-32);
  overflow-y: auto;
}

@media print {
  .score {
    display: block;
    height: auto;
    padding: 0;
    overflow: visible;
  }
}
</style>
