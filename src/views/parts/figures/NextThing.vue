<script setup lang="ts">
import { computed } from 'vue'
import { sayLack } from '../../../core/say/trust'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { addressOf } from './lacks'
import { t } from '../../../words'

/** The next thing worth doing, in one line, until enough is charted to trust the worth. */
const charts = useCharts()
const store = useFigures()
const next = computed(() => (store.stale ? undefined : store.lacks[0]))
</script>

<template>
  <p v-if="next" class="next" data-test="next">
    <b>{{ t('figures.next') }}</b>
    <RouterLink :to="addressOf(next)">{{ sayLack(present(charts.chart), next) }}</RouterLink>
  </p>
</template>

<style scoped>
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-8);
  padding: var(--space-8) var(--space-12);
  border-radius: var(--corner);
  background: var(--caution-soft, var(--ours-soft));
}
</style>
