<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import { lookUp } from '../../../core/chart/lookUp'
import { useCharts } from '../../../stores/charts'
import { printPart } from '../../parts/print/printPart'
import { scenarioLine } from '../../parts/print/scenarioLine'
import HoldsTabs from '../../parts/body/HoldsTabs.vue'
import NowOrLater from './NowOrLater.vue'
import RemarkList from './RemarkList.vue'
import ScoreGrid from './ScoreGrid.vue'
import ScoreHead from './ScoreHead.vue'
import StepFigure from './StepFigure.vue'
import { provideScore } from './score'

const { run } = provideScore()
const charts = useCharts()
/** Of the moves of the run. */
const cautions = computed(() =>
  cautionLines((run.value?.steps ?? []).flatMap(({ move }) => lookUp(present(charts.chart).moves, move) ?? [])),
)
const printed = ref<HTMLElement>()

function print() {
  const head = `${present(run.value).name} · ${scenarioLine(present(charts.chart), charts.isFlipped)}`
  printPart(present(printed.value), head)
}
</script>

<template>
  <div class="score">
    <HoldsTabs at="score" />
    <ScoreHead @print="print" />
    <template v-if="run">
      <div ref="printed" class="printed">
        <ScoreGrid />
        <StepFigure />
        <RemarkList />
        <CautionLines :lines="cautions" />
      </div>
      <NowOrLater :key="run.id" />
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
</style>
