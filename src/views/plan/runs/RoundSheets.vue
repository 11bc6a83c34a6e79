<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { useCharts } from '../../../stores/charts'
import PrintButton from '../../parts/print/PrintButton.vue'
import RoundSheet from './RoundSheet.vue'
import { t } from '../../../words/runs'

/** Positional rounds, a card each: read out, tallied on the mat, printed four to a page. */
const charts = useCharts()
const cards = computed(() => present(charts.chart).cards ?? [])
</script>

<template>
  <section :aria-label="t('common.rounds')">
    <header>
      <h1>{{ t('common.rounds') }}</h1>
      <PrintButton v-if="cards.length" :says="t('runs.printFourToAPage')" />
    </header>
    <p class="muted small off-paper">
      {{ t('runs.aCardForEachThingThat') }}
    </p>
    <p v-if="!cards.length" class="panel empty">
      <I18nT keypath="runs.noCardsYet" scope="global"
        ><template #desk
          ><RouterLink to="/desk">{{ t('common.desk') }}</RouterLink></template
        ></I18nT
      >
    </p>
    <div class="cards"><RoundSheet v-for="card in cards" :key="card.id" :card="card" /></div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}

.empty {
  margin-top: var(--space-12);
  padding: var(--space-16) var(--space-16);
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(440px, 100%), 1fr));
  gap: var(--space-16);
  margin-top: var(--space-12);
}

@media print {
  .cards {
    grid-template-columns: 1fr 1fr;
    gap: 6mm;
  }
}
</style>
