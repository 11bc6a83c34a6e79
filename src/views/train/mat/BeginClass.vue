<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { beginClass } from '../../../core/club/edits/live'
import { headCount } from '../../../core/club/classPlan'
import { lastPairs } from '../../../core/club/lastPairs'
import { pairUp, type PairFor } from '../../../core/club/pairs'
import { peopleOf } from '../../../core/club/whoIsThere'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { sound } from './sound'
import { t } from '../../../words/train'

/** Before a class: which, how many mats, who with whom; and whether it is heard. */
const clubs = useClubs()
const route = useRoute()
const sessions = computed(() => present(clubs.club).sessions.toSorted((a, b) => (a.when < b.when ? 1 : -1)))
const picked = ref(String(route.query.class ?? ''))
const session = computed(() => lookUp(sessions.value, picked.value) ?? sessions.value[0])
const mats = ref(2)
const what = ref<PairFor>('rounds')
const options = computed(() =>
  sessions.value.map(({ id, when, theme }) => ({ value: id, label: `${dayText(when)}${theme ? `, ${theme}` : ''}` })),
)
const paired = computed(() => {
  const { value: one } = session
  const club = present(clubs.club)
  return one ? pairUp(peopleOf(club, one), what.value, { lastTime: lastPairs(club) }) : { pairs: [], alone: [] }
})
const nameOf = (id: string) => (session.value ? lookUp(peopleOf(present(clubs.club), session.value), id)?.name : id)
const KINDS = [
  { value: 'learn', label: t('train.toLearn') },
  { value: 'rounds', label: t('train.sameSizeAndLevel') },
] as const

function begin() {
  const { value: one } = session
  if (!one) return
  clubs.edit(t('train.beginTheClass'), (draft) => beginClass(draft, one.id, paired.value.pairs, mats.value, Date.now()))
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
            max="20"
            :value="mats"
            @change="(event) => (mats = Math.min(20, Math.max(1, numberOf(event) || 1)))"
          />
        </label>
        <label>
          <span class="label">{{ t('train.pairs') }}</span>
          <PickList :value="what" :options="KINDS" @change="(one) => (what = one)" />
        </label>
      </div>
      <ul class="pairs" :aria-label="t('train.pairs')">
        <li v-for="pair in paired.pairs" :key="pair.join()" class="panel">{{ pair.map(nameOf).join(', ') }}</li>
      </ul>
      <p v-if="paired.alone.length" class="alone">
        {{ t('train.withTheCoach', { names: paired.alone.map(nameOf).join(', ') }) }}
      </p>
      <p class="row">
        <el-button type="primary" class="press" @click="begin">{{ t('train.beginTheClass') }}</el-button>
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
