<script setup lang="ts">
import LooseRing from '../../components/LooseRing.vue'
import { sayWorth } from '../../core/say/worth'
import { useFigures } from '../../stores/figures'
import { t } from '../../words'

/** The foot of every printed sheet: what its marks mean, and what no sheet replaces. */
defineProps<{ isOfPlan: boolean }>()
const figures = useFigures()
</script>

<template>
  <footer class="on-paper keep-together">
    <p v-if="isOfPlan" class="legend">
      <span><i class="ours" /> {{ t('print.ours') }}</span>
      <span><i class="theirs" /> {{ t('print.theirs') }}</span>
      <span
        ><svg class="trap" viewBox="0 0 12 12" aria-hidden="true"><path d="M6 1 11 10H1z" /></svg>
        {{ t('print.aTrap') }}</span
      >
      <span
        ><svg class="leak" viewBox="0 0 12 12" aria-hidden="true"><path d="M6 11 1 2h10z" /></svg>
        {{ t('print.aLeak') }}</span
      >
      <span><LooseRing :text="t('print.nothingIsChartedForIt')" /></span>
    </p>
    <p v-if="isOfPlan">{{ sayWorth(figures.scenario) }}</p>
    <p>{{ t('print.neverReplacesACoach') }}</p>
  </footer>
</template>

<style scoped>
footer {
  margin-top: var(--space-12);
  padding-top: var(--space-4);
  border-top: 1px solid var(--strong-line);
  font: var(--type-small) / 1.35 var(--text);
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
  align-items: center;
}

.legend span {
  display: inline-flex;
  gap: var(--space-4);
  align-items: center;
}

i {
  width: 22px;
  height: 10px;
  border: 1.5px solid var(--ours);
  border-radius: var(--corner-full);
  background: var(--ours);
}

svg {
  width: 12px;
  height: 12px;
}

.trap {
  fill: var(--trap);
}

.leak {
  fill: var(--leak);
}

i.theirs {
  border-color: var(--theirs);
  border-radius: 0;
  background: var(--theirs-soft);
  clip-path: polygon(0 0, calc(100% - 5px) 0, 100% 5px, 100% 100%, 0 100%);
}
</style>
