<script setup lang="ts">
import dayjs from 'dayjs'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import PickList from '../../../components/PickList.vue'
import RowButton from '../../../components/RowButton.vue'
import { named } from '../../../components/options'
import { addBout } from '../../../core/club/edits/bouts'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { useAsked } from '../../parts/layout/asked'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import BoutSheet from './BoutSheet.vue'
import SessionTabs from './SessionTabs.vue'
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
      <section class="list" :aria-label="t('train.matchDay')">
        <SessionTabs at="matches" />
        <h1>{{ t('train.matchDay') }}</h1>
        <PickList
          :options="named(people)"
          :placeholder="t('train.whoIsUp')"
          :aria-label="t('train.whoIsUp')"
          @change="add"
        />
        <ul>
          <li v-for="one in bouts" :key="one.id">
            <RowButton
              class="row"
              :class="{ here: one === here }"
              :aria-current="one === here ? 'true' : undefined"
              @click="show(one.id)"
            >
              <b>{{ nameOf(one.athlete) }}</b> <span>{{ one.ours }} : {{ one.theirs }}</span>
              <span class="muted small">{{ dayText(one.when) }} {{ one.mat }}</span>
            </RowButton>
          </li>
        </ul>
      </section>
    </template>
    <BoutSheet v-if="here" :key="here.id" :bout="here" />
    <section v-else class="none">
      <p class="muted">{{ t('train.aboutMatchDay') }}</p>
    </section>
  </ListAndSheet>
</template>

<style scoped>
.list {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  padding: var(--space-16) var(--space-12);
}

.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  width: 100%;
  min-height: var(--control);
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner);
}

.row:hover {
  background: var(--band);
}

.here {
  background: var(--ours-soft);
}

.none {
  padding: var(--space-16);
}
</style>
