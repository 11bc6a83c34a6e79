<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { beginClass } from '../../../core/club/edits/live'
import { pairedFor, pairingRules, withThoseAlone } from '../../../core/club/edits/livePairs'
import { setSession } from '../../../core/club/edits/sessions'
import { minorsWithAdultsIn, refusedInBlock } from '../../../core/club/protect'
import { MOST_MATS, USUAL_MATS, type WithWhom } from '../../../core/club/session'
import { headCount } from '../../../core/club/classPlan'
import { limitsOf } from '../../../core/club/limits'
import { heeds } from '../../../core/club/pairs'
import { peopleOf } from '../../../core/club/whoIsThere'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { blockTitle } from '../../parts/club/blocks'
import { heedsText } from '../../parts/club/heeds'
import MinorsWithAdults from '../../parts/club/MinorsWithAdults.vue'
import { refusedText } from '../../parts/club/refused'
import { dayText } from '../../parts/club/days'
import { sound } from './sound'
import { t } from '../../../words/train'

/** Before a class: which, how many mats, who with whom; and whether it is heard. */
const clubs = useClubs()
const charts = useCharts()
const route = useRoute()
const sessions = computed(() => present(clubs.club).sessions.toSorted((a, b) => (a.when < b.when ? 1 : -1)))
const picked = ref(String(route.query.class ?? ''))
const session = computed(() => lookUp(sessions.value, picked.value) ?? sessions.value[0])
const what = ref<WithWhom>('rounds')
const options = computed(() =>
  sessions.value.map(({ id, when, theme }) => ({ value: id, label: `${dayText(when)}${theme ? `, ${theme}` : ''}` })),
)
const paired = computed(() => {
  const { value: one } = session
  const club = present(clubs.club)
  return one ? pairedFor(what.value, peopleOf(club, one), pairingRules(club, one)) : { pairs: [], alone: [] }
})
const hasReason = computed(() => session.value !== undefined && minorsWithAdultsIn(session.value) !== '')
const mats = computed(() => session.value?.mats ?? USUAL_MATS)
const setMats = (n: number) =>
  session.value &&
  clubs.edit(t('train.mats'), (draft) =>
    setSession(draft, present(session.value).id, 'mats', Math.min(MOST_MATS, Math.max(1, n || 1))),
  )
/** What the class has in it that somebody who comes may not do: it does not begin before that is out, or opened. */
const refused = computed(() => {
  const { value: one } = session
  const { chart } = charts
  if (!one || !chart) return []
  return one.blocks.flatMap((block) =>
    refusedInBlock(present(clubs.club), one, chart, block).map(
      (found) => `${blockTitle(block)}: ${refusedText(found)}`,
    ),
  )
})
const find = (id: string) => session.value && lookUp(peopleOf(present(clubs.club), session.value), id)
const nameOf = (id: string) => find(id)?.name ?? id
const heeded = (pair: readonly string[]) =>
  heedsText(
    heeds(
      pair.flatMap((id) => find(id) ?? []),
      limitsOf(present(clubs.club)),
    ),
  ).join(' ')
const KINDS = [
  { value: 'learn', label: t('train.toLearn') },
  { value: 'rounds', label: t('train.sameSizeAndLevel') },
  { value: 'rotation', label: t('train.rotation') },
] as const

function begin() {
  const { value: one } = session
  if (!one) return
  clubs.edit(t('train.beginTheClass'), (draft) =>
    beginClass(draft, one.id, withThoseAlone(paired.value), mats.value, Date.now(), what.value),
  )
}
</script>

<template>
  <section class="begin" :aria-label="t('train.beginTheClass')">
    <p>
      <RouterLink to="/sessions">{{ t('frame.sessions') }}</RouterLink>
    </p>
    <h1>{{ t('frame.mat') }}</h1>
    <template v-if="session">
      <label>
        <span class="label">{{ t('train.class') }}</span>
        <PickList :value="session.id" :options="options" @change="(id) => (picked = id)" />
      </label>
      <div class="row">
        <label>
          <span class="label">{{ t('train.mats') }}</span>
          <SteadyInput
            type="number"
            min="1"
            :max="MOST_MATS"
            :value="mats"
            @change="(event) => setMats(numberOf(event))"
          />
        </label>
        <label>
          <span class="label">{{ t('train.pairs') }}</span>
          <PickList :value="what" :options="KINDS" @change="(one) => (what = one)" />
        </label>
      </div>
      <ul class="pairs" :aria-label="t('train.pairs')">
        <li v-for="pair in paired.pairs" :key="pair.join()" class="panel">
          {{ pair.map(nameOf).join(', ') }}
          <span class="small alone">{{ heeded(pair) }}</span>
        </li>
      </ul>
      <p v-if="paired.alone.length" class="alone">
        {{ t('train.withTheCoach', { names: paired.alone.map(nameOf).join(', ') }) }}
      </p>
      <MinorsWithAdults v-if="paired.alone.length || hasReason" :session="session" />
      <ul v-if="refused.length" class="alone" :aria-label="t('train.notForAll')">
        <li v-for="one in refused" :key="one">{{ one }}</li>
        <li>
          <RouterLink :to="{ path: '/sessions', query: { class: session.id } }">{{
            t('train.changeItOrOpenIt')
          }}</RouterLink>
        </li>
      </ul>
      <p class="row">
        <el-button type="primary" class="press" :disabled="refused.length > 0" @click="begin">{{
          t('train.beginTheClass')
        }}</el-button>
        <el-button class="press" @click="sound('work')">{{ t('train.testSound') }}</el-button>
      </p>
      <p class="muted small">{{ t('train.nInAll', { n: headCount(session) }) }} {{ t('train.aHeadCountWillDo') }}</p>
    </template>
    <p v-else>{{ t('train.noClassYet') }}</p>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  max-width: 620px;
  padding: var(--space-16);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-12);
}

.row label {
  flex: 1 1 140px;
}

.pairs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
}

.pairs li {
  padding: var(--space-4) var(--space-8);
}

.alone {
  color: var(--caution);
}

.begin .press {
  flex: 1 1 auto;
}
</style>
