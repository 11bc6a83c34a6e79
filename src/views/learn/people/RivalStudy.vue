<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { isMinor, type ClubPerson } from '../../../core/club/person'
import { hundred, signed } from '../../../core/say/figureText'
import { ofTen } from '../../../core/say/ofTen'
import { upperFirst } from '../../../core/say/speech'
import PlanOtherwise from '../../parts/club/PlanOtherwise.vue'
import BodyFits from './BodyFits.vue'
import { answersFor, useStudy } from './study'
import { t } from '../../../words/learn'

/** What somebody does, what we have for it, and what it comes to: from what was written down and what was logged. */
const props = defineProps<{ person: ClubPerson }>()
const { us, study, openings, closed, bodies, plan } = useStudy(() => props.person)
const reactionName = (id: string) => lookUp(study.value?.chart.reactions, id)?.name ?? id
const moveName = (id: string) => lookUp(study.value?.chart.moves, id)?.name ?? id
const answersText = (reaction: string) =>
  (study.value ? answersFor(study.value.chart, reaction) : [])
    .map(({ name, lands }) => (lands === undefined ? name : t('learn.nameLands', { name, lands: ofTen(lands) })))
    .join('; ') || t('learn.noAnswerYet')
const STEPS: Record<number, string> = {
  2: t('learn.always'),
  1: t('learn.often'),
  [-1]: t('learn.seldom'),
  [-2]: t('learn.never'),
}
/** What was written down first, then what the log shows. */
const habits = computed(() => [
  ...Object.entries(props.person.habits ?? {}).map(([id, step]) => ({
    ...{ key: `noted ${id}`, reaction: id },
    how: t('learn.noted', { often: STEPS[step] ?? '' }),
  })),
  ...(study.value?.seen.habits ?? []).map(({ reaction, times, of, usual: share }) => ({
    ...{ key: reaction, reaction },
    how: t('learn.timesUsual', { times, of, usual: ofTen(share) }),
  })),
])
const seenOpenings = computed(() =>
  (study.value?.seen.openings ?? []).map((one) => ({
    ...one,
    isOpen: one.times / one.of > one.usual,
    text: t('learn.landsTimesUsual', {
      move: moveName(one.move),
      times: one.times,
      of: one.of,
      usual: ofTen(one.usual),
    }),
  })),
)
/** Known beside what was not seen: so many things were looked at, of which one in twenty looks unusual by chance. */
const byChance = computed(() => Math.round((study.value?.seen.looked ?? 0) / 20))
</script>

<template>
  <div v-if="isMinor(person)" class="study">
    <p class="muted">{{ t('learn.noStudyOfMinors') }}</p>
  </div>
  <div v-else-if="study" class="study">
    <p class="worth">
      <b>{{ plan ? hundred(plan.then) : '…' }}</b>
      {{ us ? t('learn.worthOfAgainst', { us: us.name }) : t('learn.worthAgainst') }}
      <span class="muted">{{
        plan ? t('learn.usuallyWorth', { usual: hundred(plan.now), by: signed(plan.then - plan.now) }) : ''
      }}</span>
    </p>
    <section :aria-label="`${t('learn.theirHabits')}: ${person.name}`">
      <h3>{{ t('learn.theirHabits') }}</h3>
      <table v-if="habits.length">
        <thead>
          <tr>
            <th scope="col">{{ t('learn.theyDo') }}</th>
            <th scope="col">{{ t('learn.howMuch') }}</th>
            <th scope="col">{{ t('learn.ourAnswers') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in habits" :key="one.key">
            <th scope="row">{{ reactionName(one.reaction) }}</th>
            <td>{{ one.how }}</td>
            <td>{{ answersText(one.reaction) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="muted">{{ t('learn.noHabitKnown') }}</p>
    </section>
    <section
      v-if="openings.length || closed.length || seenOpenings.length"
      :aria-label="`${t('learn.theirOpenings')}: ${person.name}`"
    >
      <h3>{{ t('learn.theirOpenings') }}</h3>
      <ul>
        <li v-for="one in seenOpenings" :key="`seen ${one.move}`" :class="{ closed: !one.isOpen }">{{ one.text }}</li>
        <li
          v-for="{ move, before, after, says } in [...openings, ...closed]"
          :key="move"
          :class="{ closed: after < before }"
        >
          {{ t('learn.landsNow', { move: moveName(move), before: ofTen(before), after: ofTen(after) }) }}
          <span v-for="line in says" :key="line" class="muted">{{ upperFirst(line) }}. </span>
        </li>
      </ul>
    </section>
    <p v-if="study.seen.looked" class="small muted">
      {{ t('learn.looked', { n: study.seen.looked, chance: byChance }) }}
    </p>
    <BodyFits v-if="bodies && us" :fits="bodies" :us="us.name" :them="person.name" />
    <p v-else class="small muted off-paper">{{ t('learn.chooseUs') }}</p>
    <PlanOtherwise v-if="plan" :who="person.name" :chart="study.chart" :found="plan" />
  </div>
  <p v-else class="muted">{{ t('learn.noChartOpen') }}</p>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
.study {
  display: grid;
  gap: var(--space-16);
}

th,
td {
  text-align: left;
  vertical-align: top;
}

/* What is computed later finds its room kept. */
.worth .muted {
  display: block;
  min-height: 1lh;
}

.worth b {
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}

li {
  padding: var(--space-4) 0 var(--space-4) var(--space-12);
  border-left: 4px solid var(--ours);
}

.closed {
  border-color: var(--theirs);
}
</style>
