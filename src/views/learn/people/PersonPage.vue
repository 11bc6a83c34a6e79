<script setup lang="ts">
import dayjs from 'dayjs'
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { factsOf, recallOf } from '../../../core/rehearse/recall'
import { sayAsked } from '../../../core/say/rehearse'
import { athleteOf } from '../../../core/club/athlete'
import { isMinor, type ClubPerson } from '../../../core/club/person'
import { isDueOn, type LiveTries } from '../../../core/learn/practice'
import { fittedBy } from '../../../core/match/fitted'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import SheetHead from '../../parts/print/SheetHead.vue'
import { facedText, useHad, type Had } from './had'
import { t } from '../../../words/learn'

/**
 * A page that somebody can be shown: what they have had, what landed, what is due and what fits them. Nobody else is on
 * it, nor what the coach keeps to himself; of minors there are no figures.
 */
const props = defineProps<{ person: ClubPerson }>()
const clubs = useClubs()
const charts = useCharts()
const had = useHad(() => props.person)
const minor = computed(() => isMinor(props.person))
const likes = computed(() =>
  (props.person.likes ?? []).flatMap((id) => lookUp(charts.chart?.moves, id)?.name ?? []).join(', '),
)
/** What is said of their build, where the chart says anything. */
const fits = computed(() => {
  const { chart } = charts
  if (!chart) return []
  const { moves } = fittedBy(chart, { us: athleteOf(props.person, present(clubs.club).people), them: null })
  return moves
    .filter(({ says }) => says.length)
    .map(({ move, before, after, says }) => ({
      name: lookUp(chart.moves, move)?.name ?? move,
      head: after > before ? t('learn.suitsYou') : t('learn.suitsYouLess'),
      says: says.join('. '),
    }))
})
/** Answers that were rehearsed. */
const recall = computed(() => {
  const { chart } = charts
  const found = chart && recallOf(factsOf(present(clubs.club).rehearsed ?? [], props.person.id, chart.id))
  if (!found) return null
  const missed = found.missed.map((one) => ({ key: one.id, text: sayAsked(chart, one) }))
  return { ...found, missed, day: dayText(dayjs(found.last).format('YYYY-MM-DD')) }
})
const homework = computed(() =>
  (present(clubs.club).homework ?? [])
    .filter(({ us }) => us === props.person.id)
    .map(({ id, title, given, back }) => ({
      id,
      text:
        back === undefined
          ? t('learn.homeworkGiven', { title, day: dayText(given) })
          : t('learn.homeworkBack', { title, day: dayText(given), back: dayText(back) }),
    })),
)
const dayOrNot = (day: string | null) => (day === null ? '–' : dayText(day))
function landedText(tries: LiveTries, landed: string | null): string {
  if (!tries.of) return '–'
  if (minor.value) return landed === null ? t('learn.onItsWay') : t('learn.hasLanded')
  return t('learn.nOf', { n: tries.lands, of: tries.of })
}
const isDue = (one: Had) => had.value !== null && isDueOn(one, had.value.now)
</script>

<template>
  <section class="page" :aria-label="t('learn.pageOf', { name: person.name })">
    <SheetHead :title="person.name">
      <RouterLink :to="{ path: '/people', query: { person: person.id, part: 'sheet' } }">{{
        t('learn.whatTheCoachKeeps')
      }}</RouterLink>
    </SheetHead>
    <p v-if="likes">
      <b>{{ t('learn.likes') }}:</b> {{ likes }}
    </p>
    <template v-if="had">
      <p v-if="!had.regions.length" class="muted">{{ t('learn.nothingHadYet') }}</p>
      <section v-for="region in had.regions" :key="region.key" :aria-label="region.name">
        <h2>{{ region.name }}</h2>
        <table>
          <thead>
            <tr>
              <td></td>
              <th scope="col">{{ t('learn.shown') }}</th>
              <th scope="col">{{ t('learn.drilled') }}</th>
              <th scope="col">{{ t('learn.landedInRounds') }}</th>
              <th scope="col">{{ t('learn.inMatches') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in region.records" :key="one.move">
              <th scope="row">
                {{ one.name }} <span v-if="isDue(one)" class="due">{{ t('learn.dueAgain') }}</span>
                <span v-if="!minor && one.faced.tries" class="muted small faced">{{ facedText(one.faced) }}</span>
              </th>
              <td>{{ dayOrNot(one.shown) }}</td>
              <td>{{ dayOrNot(one.drilled) }}</td>
              <td>{{ landedText(one.rounds, one.landed) }}</td>
              <td>{{ landedText(one.matches, one.landed) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="recall || homework.length" :aria-label="t('learn.rehearsed')">
        <h2>{{ t('learn.rehearsed') }}</h2>
        <p v-for="one in homework" :key="one.id">{{ one.text }}</p>
        <template v-if="recall">
          <p>{{ t('learn.answersKnown', { known: recall.known, asked: recall.asked, day: recall.day }) }}</p>
          <template v-if="recall.missed.length">
            <p>{{ t('learn.notKnownYet') }}</p>
            <ul class="points" :aria-label="t('learn.toLookAtAgain')">
              <li v-for="one in recall.missed" :key="one.key">{{ one.text }}</li>
            </ul>
          </template>
        </template>
      </section>
      <section v-if="fits.length" :aria-label="t('learn.forYourBuild')">
        <h2>{{ t('learn.forYourBuild') }}</h2>
        <ul>
          <li v-for="one in fits" :key="one.name">
            <b>{{ one.name }}</b> {{ one.head }}: {{ one.says }}.
          </li>
        </ul>
      </section>
      <p class="small muted">
        {{ t('learn.howDue') }}
        <template v-if="!minor">{{ t('learn.howCounted') }}</template>
        {{ t('learn.notShown', had.notShown) }}
      </p>
    </template>
    <p v-else class="muted">{{ t('learn.noChartOpen') }}</p>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped src="./hadTable.css"></style>
<style scoped>
.page {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 860px;
  padding: var(--space-16);
}

.points {
  padding-left: var(--space-16);
  list-style: disc;
}

.faced {
  display: block;
  font-weight: normal;
}

@media screen and (width < 600px) {
  td {
    white-space: normal;
  }
}
</style>
