<script setup lang="ts">
import { computed } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { ruleSetOf } from '../../../core/chart/rules/ruleSets'
import { MATCH_CLOCKS, MATCH_SCORES, type MatchCell } from '../../../core/questions/matchTable'
import { hundred } from '../../../core/say/figureText'
import { lowerFirst } from '../../../core/say/speech'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'
import { timeText } from '../../../stores/settings'
import { scoreText } from '../../parts/print/scoreText'
import SheetHead from '../../parts/print/SheetHead.vue'
import { t } from '../../../words/match'

/** The chance to win the match from the start by clock and score, what is best then, and how the plan differs. */
const charts = useCharts()
const figures = useFigures()
const chart = computed(() => present(charts.chart))
const rules = computed(() => ruleSetOf(figures.scenario?.rules, chart.value.settings?.ruleSets))
const isScored = computed(() => Object.values(rules.value?.points ?? {}).some((points) => points > 0))
const { answer: cells, progress } = useQuestion(() => (isScored.value ? { of: 'matchTable' as const } : null))
const cellOf = (score: number, seconds: number): MatchCell | undefined =>
  cells.value?.find((one) => one.score === score && one.seconds === seconds)
function nameOf(best: string | null): string {
  if (best === null) return t('common.nothing')
  return best === 'wait' ? t('match.holdStill') : lowerFirst(lookUp(chart.value.moves, best)?.name ?? best)
}
/** The middle of the clocks, as an example. */
const EXAMPLE = 40
const sentence = computed(() => {
  const [behind, ahead] = [cellOf(-2, EXAMPLE), cellOf(2, EXAMPLE)]
  if (!behind || !ahead) return ''
  const given = { time: timeText(EXAMPLE), behind: nameOf(behind.best), ahead: nameOf(ahead.best) }
  return behind.best === ahead.best
    ? t('match.theSame', { time: given.time, best: given.behind })
    : t('match.differs', { time: given.time, behind: given.behind, ahead: given.ahead })
})
/** How strongly a cell is filled: in ours where the match is rather won, else in theirs. */
const fill = ({ chance }: MatchCell) => ({
  '--fill': chance >= 0.5 ? 'var(--ours-soft)' : 'var(--theirs-soft)',
  '--share': `${Math.round(Math.abs(chance - 0.5) * 200)}%`,
})
</script>

<template>
  <section class="panel" :aria-label="t('common.theMatch')">
    <SheetHead :title="t('common.theMatch')" />
    <p v-if="!isScored">{{ t('match.chooseRulesThatScore') }}</p>
    <WorkingOn v-else-if="progress !== null" :progress="progress" />
    <p v-else-if="!cells" class="muted">{{ t('match.cannotBeComputed') }}</p>
    <template v-else>
      <p class="lead">{{ sentence }}</p>
      <div class="scroll">
        <table>
          <caption>
            {{
              t('match.chanceToWin', {
                start: lookUp(chart.positions, figures.scenario?.start)?.name,
                rules: rules?.name,
              })
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col">{{ t('match.leftOnTheClock') }}</th>
              <th v-for="score in MATCH_SCORES" :key="score" scope="col">{{ scoreText(score) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="seconds in MATCH_CLOCKS" :key="seconds">
              <th scope="row">{{ timeText(seconds) }}</th>
              <template v-for="score in MATCH_SCORES" :key="score">
                <td v-if="cellOf(score, seconds)" :style="fill(present(cellOf(score, seconds)))">
                  <b>{{ hundred(present(cellOf(score, seconds)).chance) }}</b>
                  <span>{{ nameOf(present(cellOf(score, seconds)).best) }}</span>
                </td>
              </template>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small muted">{{ t('match.howTheMatch') }}</p>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-12);
  padding: var(--space-16);
}

.lead {
  font-size: var(--type-lead);
}

.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
}

caption {
  padding-bottom: var(--space-8);
  text-align: left;
}

th,
td {
  padding: var(--space-8);
  border: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
}

td {
  background: linear-gradient(to right, var(--fill) var(--share), transparent var(--share));
}

td b {
  display: block;
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}
</style>
