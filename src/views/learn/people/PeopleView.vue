<script setup lang="ts">
import dayjs from 'dayjs'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addPeople, namesIn } from '../../../core/club/edits/people'
import { isBeginner, isLongGone, isMinor, type ClubPerson } from '../../../core/club/person'
import { membersOf } from '../../../core/club/whoIsThere'
import { lookUp } from '../../../core/chart/lookUp'
import { CLUB_KIND } from '../../../core/club/clubKind'
import { fileName } from '../../../core/files/fileKinds'
import { giveAway } from '../../../stores/givenAway'
import { downloadJson } from '../../parts/files/download'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import { useAsked } from '../../parts/layout/asked'
import PersonSheet from './PersonSheet.vue'
import ClubList from '../../parts/club/ClubList.vue'
import ClubRow from '../../parts/club/ClubRow.vue'
import NothingChosen from '../../parts/club/NothingChosen.vue'
import { PEOPLE_TABS } from './tabs'
import { t as l } from '../../../words/learn'
import { t } from '../../../words/train'

/** Who trains here: names as they are pasted, and of each only what the rest needs. */
const clubs = useClubs()
const charts = useCharts()
const asked = useAsked()
const router = useRouter()
const people = computed(() => membersOf(present(clubs.club)))
const here = computed(() => lookUp(people.value, asked('person')))
const pasted = ref('')
const today = dayjs().format('YYYY-MM-DD')

const show = (person: string) => router.push({ path: '/people', query: { person, part: 'sheet' } })
function add() {
  const names = namesIn(
    pasted.value,
    people.value.map(({ name }) => name),
  )
  if (names.length) clubs.edit(t('train.addPeople'), (draft) => void addPeople(draft, names))
  charts.tell(t('train.nNew', { n: names.length }))
  pasted.value = ''
}
function give() {
  const { id } = present(clubs.club)
  const name = fileName(CLUB_KIND, id)
  downloadJson(clubs.exportText(), name)
  giveAway(id, name)
}
/** The log for a spreadsheet: it names people, as the club's own file does. */
async function saveTables() {
  const { saveLog } = await import('../../parts/files/saveAs')
  const club = present(clubs.club)
  giveAway(club.id, saveLog(club, charts.chart))
}
const about = (one: ClubPerson) =>
  [
    isMinor(one) ? t('train.minor') : '',
    isLongGone(one, today) ? t('train.notHereForAYear') : '',
    isBeginner(one) ? t('train.firstMonths') : '',
    ...(one.spares ?? []).map(({ part }) => t('train.spares', { part })),
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <ListAndSheet :list="t('train.people')" first="list" headed="list">
    <template #list>
      <ClubList :name="t('train.people')" :tabs="PEOPLE_TABS" at="people">
        <template #add>
          <h1>{{ t('train.people') }}</h1>
          <p>
            <RouterLink to="/sessions/limits">{{ t('train.agesAndLimits') }}</RouterLink>
          </p>
          <form @submit.prevent="add">
            <el-input
              v-model="pasted"
              type="textarea"
              :rows="2"
              :aria-label="t('train.pasteNames')"
              :placeholder="t('train.pasteNamesHint')"
              @keydown.stop
            />
            <el-button native-type="submit">{{ t('train.addThem') }}</el-button>
          </form>
        </template>
        <ClubRow v-for="one in people" :key="one.id" :here="one === here" @show="show(one.id)">
          <b>{{ one.name }}</b> <span class="muted small">{{ about(one) }}</span>
        </ClubRow>
        <template #foot>
          <el-button text @click="give">{{ l('learn.giveAway') }}</el-button>
          <el-button text @click="saveTables">{{ l('learn.logAsTables') }}</el-button>
        </template>
      </ClubList>
    </template>
    <PersonSheet v-if="here" :key="here.id" :person="here" />
    <NothingChosen v-else :says="t('train.onlyWhatTheRestNeeds')" />
  </ListAndSheet>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-8);
}
</style>
