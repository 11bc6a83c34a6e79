<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import PaperHead from './PaperHead.vue'
import PaperPosition from './PaperPosition.vue'
import { t } from '../../../words/worksheet'

/** A chosen few positions, to be printed together: each begins a page. */
const route = useRoute()
const charts = useCharts()
const chart = computed(() => present(charts.chart))
const options = computed(() => chart.value.positions.map(({ id, name }) => ({ value: id, label: name })))
const chosen = computed(() =>
  String(route.query.of ?? '')
    .split(',')
    .filter((id) => lookUp(chart.value.positions, id)),
)
</script>

<template>
  <div class="paper">
    <PaperHead
      :title="t('frame.severalPositionsOnPaper')"
      :label="t('worksheet.whichPositionsToPrint')"
      :options="options"
      :chosen="chosen"
    />
    <section v-for="id in chosen" :key="id" :aria-label="lookUp(chart.positions, id)?.name ?? ''">
      <PaperPosition :id="id" />
    </section>
  </div>
</template>

<style scoped>
.paper {
  display: grid;
  gap: var(--space-16);
  padding: var(--space-16);
}

section {
  display: grid;
  gap: var(--space-12);
}

@media print {
  .paper {
    display: block;
    padding: 0;
  }

  section {
    display: block;
  }

  section + section {
    break-before: page;
  }
}
</style>
