<script setup lang="ts">
import { computed } from 'vue'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import { lookUp } from '../../../core/chart/lookUp'
import { classMoves } from '../../../core/club/blockMoves'
import { takeHome } from '../../../core/club/lesson'
import type { Session } from '../../../core/club/session'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import SheetHead from '../../parts/print/SheetHead.vue'
import { aboutText, blockTitle } from '../../parts/club/blocks'
import { dayText } from '../../parts/club/days'
import { t } from '../../../words/train'

/** One page for who had the lesson: what was shown, what to look at, what goes wrong, and what comes next. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const who = computed(() => lookUp(present(clubs.club).people, props.session.people[0])?.name ?? t('train.someone'))
const things = computed(() => takeHome(props.session, charts.chart))
const cautions = computed(() => {
  const { chart } = charts
  return chart ? cautionLines(classMoves(chart, props.session)) : []
})
const next = computed(() =>
  (props.session.nextTime ?? []).map((one) => aboutText(charts.chart, one) || blockTitle(one)).join(', '),
)
</script>

<template>
  <section class="home" :aria-label="t('train.toTakeHome')">
    <SheetHead :title="who">
      <RouterLink :to="{ path: '/sessions/review', query: { class: session.id } }">{{ t('train.review') }}</RouterLink>
    </SheetHead>
    <p class="lead">
      {{ dayText(session.when) }}<template v-if="session.theme">: {{ session.theme }}</template>
    </p>
    <article v-for="one in things" :key="one.block.id" class="keep-together">
      <h2>{{ one.name }}</h2>
      <ol v-if="one.points.length">
        <li v-for="point in one.points" :key="point">{{ point }}</li>
      </ol>
      <p v-if="one.mistake">
        <b>{{ t('train.oneMistake') }}:</b> {{ one.mistake }}<template v-if="one.fix"> → {{ one.fix }}</template>
      </p>
    </article>
    <p v-if="!things.length" class="muted">{{ t('train.nothingToTakeHome') }}</p>
    <p v-if="session.notes">{{ session.notes }}</p>
    <p v-if="next">
      <b>{{ t('train.nextTime') }}:</b> {{ next }}
    </p>
    <CautionLines :lines="cautions" />
  </section>
</template>

<style scoped>
.home {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 760px;
  padding: var(--space-16);
}

article {
  display: grid;
  gap: var(--space-8);
}

.lead {
  font-size: var(--type-lead);
}

ol {
  padding-left: var(--space-24);
  list-style: decimal;
}
</style>
