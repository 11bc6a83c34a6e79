<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import { useCharts } from '../../../stores/charts'
import { printPart } from '../../parts/print/printPart'
import { scenarioLine } from '../../parts/print/scenarioLine'
import RoundSheet from './RoundSheet.vue'

/** Positional rounds, a card each: read out, tallied on the mat, printed four to a page. */
const charts = useCharts()
const cards = computed(() => present(charts.chart).cards ?? [])
const sheet = ref<HTMLElement>()
const print = () => printPart(present(sheet.value), scenarioLine(present(charts.chart), charts.isFlipped))
</script>

<template>
  <section aria-label="Rounds">
    <header>
      <h1>Rounds</h1>
      <button v-if="cards.length" type="button" class="button" @click="print">Print, four to a page</button>
    </header>
    <p class="muted small">
      A card for each thing that leaks: what the two do, and whether it worked. Each round that is tallied counts beside
      the guess, and the number moves. Undo takes one back.
    </p>
    <p v-if="!cards.length" class="panel empty">
      No cards yet. Press “round” beside a leak or a loose end on the <RouterLink to="/desk">Desk</RouterLink>.
    </p>
    <div ref="sheet" class="cards"><RoundSheet v-for="card in cards" :key="card.id" :card="card" /></div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}

.empty {
  margin-top: 10px;
  padding: 14px 16px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(440px, 100%), 1fr));
  gap: 14px;
  margin-top: 10px;
}

@media print {
  .cards {
    grid-template-columns: 1fr 1fr;
    gap: 6mm;
  }
}
</style>
