<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import PrintButton from '../../parts/print/PrintButton.vue'
import PaperPosition from './PaperPosition.vue'
import { t } from '../../../words'

/** A chosen few positions, to be printed together: each begins a page. */
const route = useRoute()
const router = useRouter()
const charts = useCharts()
const chart = computed(() => present(charts.chart))
const options = computed(() => chart.value.positions.map(({ id, name }) => ({ value: id, label: name })))
const chosen = computed(() =>
  String(route.query.of ?? '')
    .split(',')
    .filter((id) => lookUp(chart.value.positions, id)),
)
const choose = (ids: string[]) => void router.replace({ path: route.path, query: { of: ids.join(',') } })
</script>

<template>
  <div class="paper">
    <header class="off-paper">
      <h1>{{ t('worksheet.severalPositionsOnPaper') }}</h1>
      <el-select-v2
        :model-value="chosen"
        :options="options"
        multiple
        filterable
        :placeholder="t('worksheet.whichPositionsToPrint')"
        :aria-label="t('worksheet.whichPositionsToPrint')"
        @update:model-value="choose"
      />
      <PrintButton />
    </header>
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

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
}

.el-select {
  flex: 1;
  min-width: 260px;
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
