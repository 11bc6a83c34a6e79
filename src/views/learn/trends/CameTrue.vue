<script setup lang="ts">
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { lookUp } from '../../../core/chart/lookUp'
import {
  brier,
  endsHeld,
  finishesOf,
  held,
  offMost,
  reliability,
  type Held,
  type RoundSeen,
} from '../../../core/learn/cameTrue'
import { ROUND_ENDS, type RoundEnd } from '../../../core/learn/foretold'
import { grouped } from '../../../core/learn/grouped'
import { hundred } from '../../../core/say/figureText'
import { useAsking } from '../../../stores/asking'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import { useLog } from '../../parts/club/log'
import HeldTable from './HeldTable.vue'
import { t, type LearnKey } from '../../../words/learn'

/** Whether the plan foretold how rounds ended and what landed: each from what was known on the day before. */
const { log, asked } = useLog()
const { found, progress } = useAsking(() => {
  if (!asked.value) return null
  const { chart, scenario, club, tries, halfLife } = asked.value
  const { people, sessions, rounds } = club
  return {
    question: { of: 'cameTrue' as const, scenario, what: { club: { people, sessions, rounds, tries }, halfLife } },
    chart,
  }
})
const ENDS: Record<RoundEnd, LearnKey> = {
  tap: 'learn.endedTap',
  out: 'learn.endedOut',
  reversed: 'learn.endedReversed',
  time: 'learn.endedTime',
}
const endsOf = (rounds: readonly RoundSeen[]): Held[] => {
  const ends = endsHeld(rounds)
  return ROUND_ENDS.map((end) => ({ ...ends[end], name: t(ENDS[end]) }))
}
const rounds = computed(() => found.value?.rounds ?? [])
const unknown = computed(() => rounds.value.filter(({ wasKnown }) => !wasKnown))
const known = computed(() => rounds.value.filter(({ wasKnown }) => wasKnown))
const regions = computed(() => (found.value?.regions ?? []).map(({ name, tries }) => held(name, tries)))
const tries = computed(() => (found.value?.regions ?? []).flatMap((region) => region.tries))
const positions = computed(() =>
  [...grouped(rounds.value, ({ position }) => position)].map(([position, some]) =>
    held(
      t('learn.finishesFrom', { position: lookUp(log.value?.chart.positions, position)?.name ?? position }),
      finishesOf(some),
    ),
  ),
)
/** So many have room. */
const MOST = 4
const off = computed(() => offMost([...positions.value, ...regions.value]).slice(0, MOST))
const picture = computed((): ChartData | null => {
  const all = reliability(tries.value)
  if (!all.length) return null
  const labels = all.map(({ foretold, of }) => t('learn.foretoldOf', { foretold: hundred(foretold), of }))
  return {
    ...{ kind: 'lines', labels, along: t('learn.foretoldOfHundred'), value: t('learn.cameOfHundred'), from: 0 },
    series: [
      { name: t('learn.ifAllCameTrue'), token: 'muted', isDashed: true, values: all.map(({ foretold }) => foretold) },
      { name: t('learn.whatCame'), token: 'ours', values: all.map(({ happened }) => happened) },
      { name: t('learn.atLeast'), token: 'track', values: all.map(({ low }) => low) },
      { name: t('learn.atMost'), token: 'track', values: all.map(({ high }) => high) },
    ],
  }
})
const score = (all: Parameters<typeof brier>[0]) => brier(all).toFixed(2)
</script>

<template>
  <h1>{{ t('learn.didItComeTrue') }}</h1>
  <WorkingOn v-if="progress !== null" :progress="progress" />
  <p v-else-if="!rounds.length && !tries.length" class="muted">{{ t('learn.nothingLogged') }}</p>
  <div v-else class="two">
    <section v-if="unknown.length" :aria-label="t('learn.howRoundsEnded')">
      <h2>{{ t('learn.howRoundsEnded') }}</h2>
      <HeldTable :rows="endsOf(unknown)" :of="unknown.length" />
      <template v-if="known.length">
        <h3>{{ t('learn.partnerKnew') }}</h3>
        <HeldTable :rows="endsOf(known)" :of="known.length" />
      </template>
    </section>
    <section v-if="regions.length" :aria-label="t('learn.triesByRegion')">
      <h2>{{ t('learn.triesByRegion') }}</h2>
      <HeldTable :rows="regions" has-counts />
    </section>
    <LateChart v-if="picture" :title="t('learn.reliability')" :data="picture" :say="hundred" />
    <section v-if="off.length" :aria-label="t('learn.offMost')">
      <h2>{{ t('learn.offMost') }}</h2>
      <HeldTable :rows="off" has-counts />
    </section>
  </div>
  <p v-if="tries.length" class="small muted">
    {{ t('learn.howForetold', { tries: score(tries), rounds: score(finishesOf(rounds)) }) }}
  </p>
</template>

<style scoped src="./trends.css"></style>
