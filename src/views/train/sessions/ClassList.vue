<script setup lang="ts">
import { Plus } from '@element-plus/icons-vue'
import dayjs from 'dayjs'
import { computed } from 'vue'
import { named } from '../../../components/options'
import { lookUp } from '../../../core/chart/lookUp'
import PickList from '../../../components/PickList.vue'
import { addLesson, addSession } from '../../../core/club/edits/sessions'
import { headCount } from '../../../core/club/classPlan'
import { membersOf } from '../../../core/club/whoIsThere'
import type { Session } from '../../../core/club/session'
import { fileName, OUTPUTS } from '../../../core/files/fileKinds'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import ClubList from '../../parts/club/ClubList.vue'
import ClubRow from '../../parts/club/ClubRow.vue'
import { dayText } from '../../parts/club/days'
import { download } from '../../parts/files/download'
import { SESSION_TABS } from './tabs'
import { t } from '../../../words/train'

/** The classes of the club, the newest first. */
const props = defineProps<{ sessions: readonly Session[]; here?: string | undefined }>()
const emit = defineEmits<{ show: [id: string] }>()
const clubs = useClubs()
const charts = useCharts()

function add() {
  let id = ''
  clubs.edit(t('train.newClass'), (draft) => void (id = addSession(draft, dayjs().format('YYYY-MM-DD'))))
  emit('show', id)
}
/** The classes as a file that calendars read. */
async function saveAll() {
  const { calendarOf } = await import('../../parts/club/calendar')
  const { title = '', id = 'club' } = clubs.club ?? {}
  const { type } = OUTPUTS.calendar
  const text = calendarOf(title, props.sessions, charts.chart)
  download(new Blob([text], { type }), fileName(OUTPUTS.calendar, id, 'classes'))
}
const people = computed(() => membersOf(clubs.club ?? { people: [] }))
/** How many come, or with whom a lesson is. */
const whoOf = (one: Session) =>
  one.isPrivate
    ? (lookUp(people.value, one.people[0])?.name ?? t('train.someone'))
    : t('train.nPeople', { n: headCount(one) })
function addFor(person: string) {
  let id = ''
  clubs.edit(t('train.newLesson'), (draft) => void (id = addLesson(draft, dayjs().format('YYYY-MM-DD'), person)))
  emit('show', id)
}
</script>

<template>
  <ClubList :name="t('train.classes')" :tabs="SESSION_TABS" at="classes">
    <template #add>
      <el-button type="primary" :icon="Plus" @click="add">{{ t('train.newClass') }}</el-button>
      <PickList
        v-if="people.length"
        :options="named(people)"
        :placeholder="t('train.newLesson')"
        :aria-label="t('train.newLesson')"
        @change="addFor"
      />
    </template>
    <ClubRow v-for="one in sessions" :key="one.id" :here="one.id === here" @show="emit('show', one.id)">
      <b>{{ dayText(one.when) }}</b>
      <span v-if="one.isPrivate" class="muted small">{{ t('train.lesson') }}</span>
      <span v-if="clubs.club?.live?.session === one.id" class="on">{{ t('train.onNow') }}</span>
      <span class="line">{{ one.theme || t('train.noTheme') }}</span>
      <span class="line muted small">{{
        t('train.peopleAndMinutes', { people: whoOf(one), minutes: one.minutes })
      }}</span>
    </ClubRow>
    <template #foot>
      <el-button v-if="sessions.length" text @click="saveAll">{{ t('train.allAsACalendar') }}</el-button>
    </template>
  </ClubList>
</template>

<style scoped>
.line {
  flex-basis: 100%;
}

.on {
  color: var(--ours);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}
</style>
