<script setup lang="ts">
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { hundred } from '../../../core/say/figureText'
import { headlineOfMatch, otherScore, sayByScore } from '../../../core/say/match'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'
import { scoreText } from '../../parts/print/scoreText'
import StartPanel from './StartPanel.vue'
import { t } from '../../../words/match'

/** The chance to win the match, what becomes of a hundred, and how the plan differs with another score. */
const MOST = 5
const charts = useCharts()
const store = useFigures()
const scenario = computed(() => present(store.scenario))
const sentence = computed(() => headlineOfMatch(present(charts.chart), scenario.value, present(store.figures)))
const endings = {
  finish: t('match.wonByFinish'),
  ours: t('match.wonOnPoints'),
  even: t('match.drawn'),
  theirs: t('match.lostOnPoints'),
  caught: t('match.caught'),
}
const other = computed(() => otherScore(scenario.value.score))
const { answer, progress } = useQuestion(() => ({ of: 'otherScore' as const, score: other.value }))
const changes = computed(() =>
  (answer.value?.changes ?? []).slice(0, MOST).map((one) => sayByScore(present(charts.chart), one)),
)
</script>

<template>
  <StartPanel
    :name="t('match.whatTheMatchIsWorth')"
    :label="t('match.toWin')"
    :figure="t('match.chance')"
    :sentence="sentence"
    :endings="endings"
  >
    <section class="other" :aria-label="t('match.whatTheScoreChanges')">
      <h2>{{ t('match.whatTheScoreChanges') }}</h2>
      <WorkingOn v-if="progress !== null" :progress="progress" />
      <template v-else-if="answer">
        <p v-if="!changes.length">{{ t('match.samePlan', { other: scoreText(other) }) }}</p>
        <table v-else>
          <thead>
            <tr>
              <th scope="col">{{ t('match.where') }}</th>
              <th v-for="score in [scenario.score, other]" :key="score" scope="col">{{ scoreText(score) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in changes" :key="one.place">
              <th scope="row">{{ one.place }}</th>
              <td>{{ one.now }}</td>
              <td>{{ one.then }}</td>
            </tr>
          </tbody>
        </table>
        <p class="muted small">
          {{ t('match.chanceOther', { score: scoreText(other), chance: hundred(answer.then) }) }}
          <RouterLink to="/runs/match">{{ t('match.lookAtScores') }}</RouterLink>
        </p>
      </template>
    </section>
  </StartPanel>
</template>

<style scoped>
.other {
  display: grid;
  gap: var(--space-4);
}

h2 {
  font-size: var(--type-lead);
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: var(--space-4) var(--space-16) var(--space-4) 0;
  text-align: left;
  vertical-align: top;
}

tbody tr {
  border-top: 1px solid var(--line);
}
</style>
