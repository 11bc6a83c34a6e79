<script setup lang="ts">
import { Calendar, Delete, MagicStick, VideoPlay } from '@element-plus/icons-vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import IconButton from '../../../components/IconButton.vue'
import InlineText from '../../../components/InlineText.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf, valueOf } from '../../../components/events'
import { planRemarks, timedBlocks } from '../../../core/club/classPlan'
import { removeSession, setSession } from '../../../core/club/edits/sessions'
import type { Session } from '../../../core/club/session'
import { cautionLines } from '../../../core/chart/hazard'
import { limitsOf } from '../../../core/club/limits'
import { peopleOf } from '../../../core/club/whoIsThere'
import { classMoves } from '../../../core/club/blockMoves'
import CautionLines from '../../../components/CautionLines.vue'
import { lastOf, present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { download } from '../../parts/files/download'
import PrintButton from '../../parts/print/PrintButton.vue'
import { dayText } from '../../parts/club/days'
import BlockList from './BlockList.vue'
import WhoComes from './WhoComes.vue'
import { remarkText } from './remarks'
import { t } from '../../../words/train'

/** What can be proposed is worked out, and fetched, when it is asked for. */
const ProposalPanel = defineAsyncComponent(() => import('./ProposalPanel.vue'))

/** A class by the minute: what is done when, who comes, and what does not fit. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const router = useRouter()

const isProposing = ref(false)
const timed = computed(() => timedBlocks(props.session))
const remarks = computed(() =>
  planRemarks(props.session, {
    ...{ chart: charts.chart, people: peopleOf(present(clubs.club), props.session) },
    limits: limitsOf(present(clubs.club)),
  }).map((one) => remarkText(one, props.session)),
)
const planned = computed(() => lastOf(timed.value)?.to ?? 0)
const cautions = computed(() => {
  const { chart } = charts
  return chart ? cautionLines(classMoves(chart, props.session)) : []
})

function set<F extends Exclude<keyof Session, 'id'>>(field: F, value: Session[F] | undefined, label: string) {
  clubs.edit(label, (draft) => setSession(draft, props.session.id, field, value))
}
function remove() {
  if (!clubs.edit(t('train.removeTheClass'), (draft) => removeSession(draft, props.session.id))) return
  charts.tell(t('train.theClassOfDayIsRemoved', { day: dayText(props.session.when) }), 'info', 'undo')
}
/** The calendar's words are fetched when somebody wants them. */
async function save() {
  const { calendarOf } = await import('../../parts/club/calendar')
  const text = calendarOf(clubs.club?.title ?? '', [props.session], charts.chart)
  download(new Blob([text], { type: 'text/calendar' }), `${props.session.id}.ics`)
}
const begin = () => router.push({ path: '/mat', query: { class: props.session.id } })
</script>

<template>
  <section class="sheet" :aria-label="t('train.classOf', { day: dayText(session.when) })">
    <header>
      <h1>
        <InlineText
          :value="session.theme ?? ''"
          :label="t('train.theme')"
          :placeholder="t('train.whatIsItAbout')"
          @change="(theme) => set('theme', theme, t('train.theme'))"
        />
      </h1>
      <span class="tools off-paper">
        <el-button :icon="MagicStick" :aria-expanded="isProposing" @click="isProposing = !isProposing">{{
          t('train.propose')
        }}</el-button>
        <el-button type="primary" :icon="VideoPlay" @click="begin">{{ t('train.onToTheMat') }}</el-button>
        <RouterLink :to="{ path: '/sessions/review', query: { class: session.id } }">{{
          t('train.review')
        }}</RouterLink>
        <PrintButton />
        <RouterLink :to="{ path: '/sessions/cards', query: { class: session.id } }">{{ t('train.cards') }}</RouterLink>
        <IconButton :icon="Calendar" :name="t('train.forTheCalendar')" @click="save" />
        <IconButton :icon="Delete" :name="t('train.removeTheClass')" @click="remove" />
      </span>
    </header>
    <p v-if="session.isPrivate" class="small">{{ t('train.coachIsThePartner') }}</p>
    <p class="facts">
      <label>
        <span class="label">{{ t('train.day') }}</span>
        <SteadyInput
          type="date"
          class="day"
          :value="session.when"
          @change="(event) => set('when', valueOf(event), t('train.day'))"
        />
      </label>
      <label>
        <span class="label">{{ t('train.at') }}</span>
        <SteadyInput
          type="time"
          class="time"
          :value="session.at ?? ''"
          @change="(event) => set('at', valueOf(event) || undefined, t('train.at'))"
        />
      </label>
      <label>
        <span class="label">{{ t('train.minutes') }}</span>
        <SteadyInput
          type="number"
          min="1"
          max="600"
          class="number"
          :value="session.minutes"
          @change="(event) => set('minutes', numberOf(event), t('train.minutes'))"
        />
      </label>
      <span class="sum" :class="{ over: planned > session.minutes }">{{
        t('train.plannedOfMinutes', { planned, minutes: session.minutes })
      }}</span>
    </p>
    <ul v-if="remarks.length" class="remarks" :aria-label="t('train.whatDoesNotFit')">
      <li v-for="remark in remarks" :key="remark">{{ remark }}</li>
    </ul>
    <ProposalPanel v-if="isProposing" :session="session" @done="isProposing = false" />
    <BlockList :session="session" :timed="timed" />
    <WhoComes :session="session" />
    <CautionLines class="on-paper" :lines="cautions" />
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  padding: var(--space-16);
}

header,
.tools,
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: end;
}

header,
.tools {
  align-items: center;
}

.tools {
  gap: var(--space-4) var(--space-8);
}

header {
  justify-content: space-between;
}

.facts label {
  display: grid;
}

.day {
  width: 160px;
}

.number {
  width: 84px;
}

.time {
  width: 112px;
}

.sum {
  min-height: var(--control);
  align-content: center;
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
}

.over,
.remarks {
  color: var(--caution);
}

.remarks {
  padding: var(--space-8) var(--space-12);
  border-left: 4px solid var(--caution);
  background: var(--caution-soft);
}
</style>
