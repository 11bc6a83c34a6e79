<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { logged } from '../../../stores/estimates'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import CostList from './CostList.vue'
import DrillList from './DrillList.vue'
import HundredExchanges from './HundredExchanges.vue'
import MovesInUse from './MovesInUse.vue'
import PaperCautions from '../../parts/print/PaperCautions.vue'
import PrintButton from '../../parts/print/PrintButton.vue'
import { t } from '../../../words'

const charts = useCharts()
const figures = useFigures()
/** Most plans are of an exchange. */
const HundredMatches = defineAsyncComponent(() => import('./HundredMatches.vue'))
const tries = computed(() => (charts.chart && logged.value?.of(charts.chart.id)) ?? 0)
</script>

<template>
  <div v-if="charts.chart" class="desk">
    <header>
      <h1>{{ charts.chart.title }}</h1>
      <PrintButton v-if="figures.figures" />
    </header>
    <component
      :is="figures.scenario?.objective === 'win' ? HundredMatches : HundredExchanges"
      v-if="figures.figures"
      class="wide"
    />
    <p v-else-if="!charts.chart.positions.length" class="panel empty wide">
      {{ t('desk.nothingIsChartedYet') }}
      <RouterLink class="button primary" to="/worksheet">{{ t('desk.beginTheChart') }}</RouterLink>
    </p>
    <template v-if="figures.figures">
      <div class="column">
        <CostList />
      </div>
      <div class="column">
        <DrillList />
        <MovesInUse />
      </div>
      <PaperCautions
        class="wide"
        :moves="charts.chart.moves.filter(({ id }) => (figures.figures?.moves[id]?.uses ?? 0) > 0)"
      />
      <p class="muted small wide">
        {{ t('desk.figuresFollowFromTheTriesThat') }}
        <template v-if="tries">{{ t('desk.triesLoggedCount', { n: tries, club: logged?.club }) }}</template>
      </p>
    </template>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-items: start;
  gap: var(--space-16);
  max-width: 1240px;
  padding: var(--space-16) var(--space-24) var(--space-24);
}

.column {
  display: grid;
  gap: var(--space-16);
}

header {
  display: flex;
  justify-content: space-between;
}

header,
.wide {
  grid-column: 1 / -1;
}

.empty {
  display: flex;
  align-items: center;
  gap: var(--space-16);
  padding: var(--space-16);
}

@media (width >= 1600px) {
  .desk {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    max-width: none;
  }

  .column {
    display: contents;
  }
}

@media (width < 860px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
    padding: var(--space-12);
  }
}

@media print {
  .desk {
    padding: 0;
  }
}
</style>
