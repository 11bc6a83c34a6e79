<script setup lang="ts">
import { computed } from 'vue'
import NotesField from '../../../components/NotesField.vue'
import { setNextTime, setSession } from '../../../core/club/edits/sessions'
import { isMuch, loadsOf } from '../../../core/club/load'
import { limitsOf } from '../../../core/club/limits'
import { reviewOf } from '../../../core/club/review'
import type { Session } from '../../../core/club/session'
import { lookedAt } from '../../../core/club/walks'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import SheetHead from '../../parts/print/SheetHead.vue'
import { aboutText, blockTitle } from '../../parts/club/blocks'
import { dayText } from '../../parts/club/days'
import { ENDED_NAMES } from '../../parts/club/ended'
import RememberedTries from './RememberedTries.vue'
import { t } from '../../../words/train'

/** What came of a class: shown, drilled, landed live; how rounds ended; mistakes seen; notes. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const review = computed(() => reviewOf(present(clubs.club), props.session, charts.chart))
const limits = computed(() => limitsOf(present(clubs.club)))
const loads = computed(() => loadsOf(present(clubs.club), props.session))
const nameOf = (id: string) => lookUp(present(clubs.club).people, id)?.name ?? t('train.someone')
const mistakes = computed(() =>
  (props.session.walks ?? []).flatMap((walk) =>
    Object.entries(walk.mistakes).map(([says, n]) => ({ says, n, pairs: lookedAt(walk) })),
  ),
)
const titles = (blocks: Session['blocks']) =>
  [...new Set(blocks.map((one) => aboutText(charts.chart, one) || blockTitle(one)))].join(', ') || t('common.none')
/** What can come again: all but how a class begins and ends. */
const again = computed(() =>
  props.session.blocks.filter(({ kind }) => kind !== 'warm-up' && kind !== 'free-rounds' && kind !== 'cool-down'),
)
const setAgain = (block: string, isNext: boolean) =>
  clubs.edit(t('train.againNextTime'), (draft) => setNextTime(draft, props.session.id, block, isNext))
const setNotes = (notes: string) =>
  clubs.edit(t('train.notesOfTheClass'), (draft) => setSession(draft, props.session.id, 'notes', notes || undefined))
</script>

<template>
  <section class="review" :aria-label="t('train.review')">
    <SheetHead :title="t('train.reviewOf', { day: dayText(session.when) })" />
    <dl>
      <dt>{{ t('train.shown') }}</dt>
      <dd>{{ titles(review.shown) }}</dd>
      <dt>{{ t('train.drilled') }}</dt>
      <dd>{{ titles(review.drilled) }}</dd>
      <template v-if="session.nextTime?.length">
        <dt>{{ t('train.nextTime') }}</dt>
        <dd>{{ titles(session.nextTime) }}</dd>
      </template>
    </dl>
    <RememberedTries v-if="session.isPrivate" :session="session" />
    <section v-else :aria-label="t('train.howRoundsEnded')">
      <h2>{{ t('train.howRoundsEnded') }}</h2>
      <ul v-if="review.rounds.length" class="ends">
        <li v-for="one in review.rounds" :key="one.ended" class="panel">
          <b>{{ one.n }}</b> {{ ENDED_NAMES[one.ended] }}
        </li>
      </ul>
      <p v-else class="muted">{{ t('train.noRoundsLogged') }}</p>
    </section>
    <section v-if="review.landed.length" :aria-label="t('train.landedLive')">
      <h2>{{ t('train.landedLive') }}</h2>
      <ul>
        <li v-for="one in review.landed" :key="one.move" class="landed">
          <span>{{ one.name }}</span><b>{{ t('train.nOfTries', { n: one.lands, tries: one.tries }) }}</b>
        </li>
      </ul>
      <p class="small muted">{{ t('train.theyCountInThePlan') }}</p>
    </section>
    <section v-if="loads.length" :aria-label="t('train.whoWasCaught')">
      <h2>{{ t('train.whoWasCaught') }}</h2>
      <ul>
        <li v-for="one in loads" :key="one.person" class="landed" :class="{ much: isMuch(one, limits) }">
          <span>{{ nameOf(one.person) }}</span><b>{{
            t('train.caughtInClassAndWeek', { n: one.inClass, week: one.inWeek })
          }}</b>
        </li>
      </ul>
    </section>
    <section v-if="mistakes.length" :aria-label="t('train.mistakesSeen')">
      <h2>{{ t('train.mistakesSeen') }}</h2>
      <ul>
        <li v-for="(one, i) in mistakes" :key="i" class="landed">
          <span>{{ one.says }}</span><b>{{ t('train.nOfPairs', { n: one.n, pairs: one.pairs }) }}</b>
        </li>
      </ul>
    </section>
    <fieldset class="off-paper">
      <legend>{{ t('train.againNextTime') }}</legend>
      <el-checkbox
        v-for="one in again"
        :key="one.id"
        :model-value="session.nextTime?.some(({ id }) => id === one.id) ?? false"
        @change="(on: boolean) => setAgain(one.id, on)"
        >{{ [blockTitle(one), aboutText(charts.chart, one)].filter(Boolean).join(', ') }}</el-checkbox
      >
    </fieldset>
    <NotesField :value="session.notes" @change="setNotes" />
    <p class="off-paper">
      <RouterLink :to="{ path: '/sessions', query: { class: session.id } }">{{
        t('train.thePlanOfTheClass')
      }}</RouterLink>
      <RouterLink v-if="session.isPrivate" :to="{ path: '/sessions/home', query: { class: session.id } }">{{
        t('train.toTakeHome')
      }}</RouterLink>
      <RouterLink to="/desk">{{ t('common.desk') }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.review {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 760px;
  padding: var(--space-16);
}

p.off-paper {
  display: flex;
  gap: var(--space-16);
  align-items: center;
}

fieldset {
  border: 0;
}

legend {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: var(--space-4) var(--space-12);
  margin: 0;
}

dt {
  color: var(--muted);
  font: var(--weight-strong) var(--type-body) / 1.4 var(--label);
}

dd {
  margin: 0;
}

.ends {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}

.ends li {
  padding: var(--space-8) var(--space-12);
}

.ends b {
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}

.much {
  color: var(--caution);
}

.landed {
  display: flex;
  justify-content: space-between;
  max-width: 480px;
  padding: var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
}
</style>
