<script setup lang="ts">
import dayjs from 'dayjs'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import PickList from '../../../components/PickList.vue'
import { named } from '../../../components/options'
import { addBout } from '../../../core/club/edits/bouts'
import { lookUp } from '../../../core/chart/lookUp'
import { membersOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { useAsked } from '../../parts/layout/asked'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import BoutSheet from './BoutSheet.vue'
import ClubList from '../../parts/club/ClubList.vue'
import ClubRow from '../../parts/club/ClubRow.vue'
import NothingChosen from '../../parts/club/NothingChosen.vue'
import { SESSION_TABS } from './tabs'
import { t } from '../../../words/train'

/** Who is up, on which mat; one of the matches with its clock and both scores. */
const clubs = useClubs()
const router = useRouter()
const asked = useAsked()
const people = computed(() => present(clubs.club).people)
const bouts = computed(() => (present(clubs.club).bouts ?? []).toSorted((a, b) => (a.when < b.when ? 1 : -1)))
const here = computed(() => lookUp(bouts.value, asked('match')))
const nameOf = (id: string) => lookUp(people.value, id)?.name ?? t('train.someone')

const show = (match: string) => router.push({ path: '/sessions/matches', query: { match, part: 'sheet' } })
function add(athlete: string) {
  let id = ''
  const label = t('train.newMatchOf', { name: nameOf(athlete) })
  clubs.edit(label, (draft) => void (id = addBout(draft, athlete, dayjs().format('YYYY-MM-DD'))))
  if (id) void show(id)
}
</script>

<template>
  <ListAndSheet :list="t('train.matchDay')" first="list" headed="list">
    <template #list>
      <ClubList :name="t('train.matchDay')" :tabs="SESSION_TABS" at="matches">
        <template #add>
          <h1>{{ t('train.matchDay') }}</h1>
          <PickList
            :options="named(membersOf(present(clubs.club)))"
            :placeholder="t('train.whoIsUp')"
            :aria-label="t('train.whoIsUp')"
            @change="add"
          />
        </template>
        <ClubRow v-for="one in bouts" :key="one.id" :here="one === here" @show="show(one.id)">
          <b>{{ nameOf(one.athlete) }}</b> <span>{{ one.ours }} : {{ one.theirs }}</span>
          <span class="muted small"
            >{{ dayText(one.when) }}<template v-if="one.mat">, {{ t('train.matN', { n: one.mat }) }}</template></span
          >
        </ClubRow>
      </ClubList>
    </template>
    <BoutSheet v-if="here" :key="here.id" :bout="here" />
    <NothingChosen v-else :says="t('train.aboutMatchDay')" />
  </ListAndSheet>
</template>
