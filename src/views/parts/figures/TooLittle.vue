<script setup lang="ts">
import { sayLack } from '../../../core/say/trust'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { addressOf } from './lacks'
import { t } from '../../../words'

/** Too little is charted to trust the worth: what is missing, and where it is charted. Nothing once there is enough. */
const charts = useCharts()
const store = useFigures()
</script>

<template>
  <div v-if="store.lacks.length" class="little" role="group" :aria-label="t('figures.tooLittleChartedToTrust')">
    <b>{{ t('figures.tooLittleChartedToTrust2') }}</b>
    <ul>
      <li v-for="lack in store.lacks" :key="lack.of">
        <RouterLink :to="addressOf(lack)" data-test="lack">{{ sayLack(present(charts.chart), lack) }}</RouterLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.little {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
  color: var(--caution);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
}

a {
  color: inherit;
}
</style>
