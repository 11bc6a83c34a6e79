<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { talliedOf } from '../../../core/insight/tallied'
import { hundred } from '../../../core/say/figureText'
import { useCharts } from '../../../stores/charts'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import PrintButton from '../../parts/print/PrintButton.vue'
import RoundSheet from './RoundSheet.vue'
import { t } from '../../../words/runs'

/** Positional rounds, a card each: read out, tallied on the mat, printed four to a page. */
const charts = useCharts()
/** So many have room in the picture. */
const MOST = 12
/** Half as wide as a mark is drawn, as a share. */
const MARK = 0.006
/** What landed on the mat beside what was guessed, with what it may be in truth. */
const tallies = computed((): ChartData | null => {
  const chart = present(charts.chart)
  const found = talliedOf(chart).slice(0, MOST)
  if (!found.length) return null
  const mark = (share: number) => [share - MARK, share + MARK] as const
  return {
    ...{ kind: 'bars', isAcross: true, along: t('runs.move') },
    labels: found.map(({ move, reply, worked, of }) => {
      const name = lookUp(chart.moves, move)?.name ?? move
      const against = reply ? t('runs.against', { reply: lookUp(chart.reactions, reply)?.name }) : ''
      return `${name}${against}, ${t('runs.nOfM', { n: worked, m: of })}`
    }),
    series: [
      { name: t('runs.eightOfTen'), token: 'track', isOver: true, values: found.map(({ low, high }) => [low, high]) },
      {
        name: t('runs.landedOnTheMat'),
        token: 'ours',
        isOver: true,
        values: found.map(({ worked, of }) => mark(worked / of)),
      },
      { name: t('runs.theGuess'), token: 'leak', isOver: true, values: found.map(({ guess }) => mark(guess)) },
    ],
  }
})
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
    <LateChart v-if="tallies" class="tallies" :title="t('runs.talliesAgainstGuesses')" :data="tallies" :say="hundred" />
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
