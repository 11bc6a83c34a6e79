<script setup lang="ts">
import { computed } from 'vue'
import { named } from '../../../components/options'
import PickList from '../../../components/PickList.vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { ClubPerson } from '../../../core/club/person'
import { membersOf } from '../../../core/club/whoIsThere'
import { ofTen } from '../../../core/say/ofTen'
import { upperFirst } from '../../../core/say/speech'
import { chooseFor } from '../../../stores/against'
import { useCharts } from '../../../stores/charts'
import PlanOtherwise from './PlanOtherwise.vue'
import { useAgainst } from './against'
import { t } from '../../../words/learn'

/** Who against whom: all figures follow; and what that changes of the moves, in words. Only where there is a club. */
const charts = useCharts()
const { people, match, changes, plan } = useAgainst()
const withNobody = (some: readonly ClubPerson[]) => [
  { value: '', label: t('learn.nobodyInParticular') },
  ...named(some),
]
const sides = computed(() => [
  { side: 'us' as const, label: t('learn.us'), options: withNobody(membersOf({ people: people.value })) },
  { side: 'them' as const, label: t('learn.them'), options: withNobody(people.value) },
])
/** So many of each have room. */
const MOST = 6
const moves = computed(() =>
  (changes.value?.moves ?? []).slice(0, MOST).map(({ move, before, after, says }) => ({
    key: move,
    head: t('learn.landsNow', {
      move: lookUp(charts.chart?.moves, move)?.name ?? move,
      before: ofTen(before),
      after: ofTen(after),
    }),
    says,
  })),
)
const reactions = computed(() =>
  (changes.value?.reactions ?? []).slice(0, MOST).map(({ reaction, isMore, says }) => {
    const name = lookUp(charts.chart?.reactions, reaction)?.name ?? reaction
    return { key: reaction, head: t(isMore ? 'learn.theyDoMore' : 'learn.theyDoLess', { reaction: name }), says }
  }),
)
</script>

<template>
  <section v-if="people.length" :aria-label="t('learn.whoAgainstWhom')">
    <h3>{{ t('learn.whoAgainstWhom') }}</h3>
    <label v-for="{ side, label, options } in sides" :key="side">
      <span class="label">{{ label }}</span>
      <PickList
        :value="match[side]?.id ?? ''"
        :options="options"
        :aria-label="label"
        @change="(id: string) => chooseFor(side, id)"
      />
    </label>
    <template v-if="changes">
      <p v-if="!moves.length && !reactions.length" class="muted small">{{ t('learn.theyChangeNothing') }}</p>
      <ul v-else class="small" :aria-label="t('learn.whatTheyChange')">
        <li v-for="{ key, head, says } in [...moves, ...reactions]" :key="key">
          {{ head }} <span v-for="line in says" :key="line" class="muted">{{ upperFirst(line) }}. </span>
        </li>
      </ul>
      <PlanOtherwise v-if="plan && charts.chart" class="small" :chart="charts.chart" :found="plan" />
    </template>
  </section>
</template>

<style scoped>
section,
label {
  display: grid;
  gap: var(--space-8);
}

section {
  padding-top: var(--space-12);
  border-top: 1px solid var(--line);
}
</style>
