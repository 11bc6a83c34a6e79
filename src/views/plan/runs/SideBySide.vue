<script setup lang="ts">
import { ArrowUp } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed, ref, shallowRef, watch } from 'vue'
import { hundred } from '../../../core/say/figureText'
import InlineText from '../../../components/InlineText.vue'
import { setField } from '../../../core/chart/edits/fields'
import { shiftRun } from '../../../core/chart/edits/runs'
import { scores } from '../../../core/chart/rules/ruleSets'
import { pointsOf } from '../../../core/insight/points/points'
import { sayLetGo } from '../../../core/say/giveUp'
import { play } from '../../../core/limbScore/play'
import { compareRuns, sayDifferences } from '../../../core/limbScore/compareRuns'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import PaperCautions from '../../parts/print/PaperCautions.vue'
import PrintButton from '../../parts/print/PrintButton.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { t } from '../../../words/runs'

/** The chart's runs, two or three side by side in one scenario, and what sets them apart in words. */
const charts = useCharts()
const figures = useFigures()
const chart = computed(() => present(charts.chart))
const runs = computed(() => chart.value.runs ?? [])
const MAX_RUNS = 3
const chosen = ref<string[]>([])
const shown = computed(() => {
  const own = runs.value.filter(({ id }) => chosen.value.includes(id))
  return own.length ? own : runs.value.slice(0, 2)
})
const compared = computed(() => compareRuns(chart.value, shown.value))
const worths = shallowRef<(number | null)[][]>([])
let asked = 0
watch(
  () => [figures.figures, shown.value] as const,
  async ([solved, list]) => {
    const mine = ++asked
    const found = solved ? await Promise.all(list.map((run) => figures.along(run))) : []
    if (mine === asked) worths.value = found.map((one) => one ?? [])
  },
  { immediate: true },
)
/** What is found by solving beside them: points, and what letting go is worth. */
const { answer: beside } = useQuestion(() => ({
  of: 'runs' as const,
  runs: shown.value.map(({ start, steps }) => ({ start, steps })),
}))
const points = (i: number) => {
  const scored = beside.value?.[i]?.scored
  const { rules } = figures
  return scored && rules && scores(rules)
    ? `${finerPoints(pointsOf(scored.ours, rules))} : ${finerPoints(pointsOf(scored.theirs, rules))}`
    : null
}
const finerPoints = (n: number) => String(Math.round(n * 10) / 10)
const letGo = (i: number) => {
  const found = beside.value?.[i]
  return found ? sayLetGo(found.letGo, (step) => compared.value[i]?.steps[step - 1] ?? '', hundred) : ''
}
const startWorth = (i: number) => worths.value[i]?.[0] ?? null
const differences = computed(() => {
  const [one, other, more] = compared.value
  return one && other && !more ? sayDifferences(one, other, [startWorth(0), startWorth(1)], hundred) : []
})

/** Each run as a line: what it is worth to have come so far, by the seconds since its start. */
const lines = computed((): ChartData | null => {
  const courses = compared.value.map(({ run }, i) => ({
    name: run.name,
    points: play(chart.value, run).beats.map(({ seconds }, k) => ({ seconds, worth: worths.value[i]?.[k] ?? null })),
  }))
  const seconds = [...new Set(courses.flatMap(({ points }) => points.map((point) => point.seconds)))].sort(
    (a, b) => a - b,
  )
  if (courses.length < 2 || courses.every(({ points }) => points.every(({ worth }) => worth === null))) return null
  return {
    ...{ kind: 'lines', isFree: true, along: t('runs.secondsSinceItsStart'), value: t('common.worth') },
    labels: seconds.map(String),
    series: courses.map(({ name, points }, i) => ({
      ...{ name, token: RUN_TOKENS[i % RUN_TOKENS.length] ?? 'ours', isDashed: i > 0, joins: true },
      values: seconds.map((at) => points.findLast((point) => point.seconds === at)?.worth ?? null),
    })),
  }
})
const RUN_TOKENS = ['ours', 'trap', 'caution'] as const

function toggle(id: string) {
  const now = shown.value.map((run) => run.id)
  chosen.value = now.includes(id) ? now.filter((one) => one !== id) : [...now, id].slice(-MAX_RUNS)
}
function annotate(id: string, notes: string) {
  charts.edit(t('runs.notesOnTheRun'), (draft) => setField(draft, 'runs', id, 'notes', notes))
}
function shift(id: string, by: 1 | -1) {
  charts.edit(t('runs.orderOfTheRuns'), (draft) => shiftRun(draft, id, by))
}
const cautioned = computed(() =>
  shown.value.flatMap(({ steps }) => steps.flatMap(({ move }) => lookUp(chart.value.moves, move) ?? [])),
)
</script>

<template>
  <section :aria-label="t('runs.runsSideBySide')">
    <header>
      <h1>{{ t('runs.runsSideBySide') }}</h1>
      <PrintButton v-if="shown.length" />
    </header>
    <p v-if="!runs.length" class="panel empty">
      <I18nT keypath="runs.noRunsYet" scope="global"
        ><template #chain
          ><RouterLink to="/runs">{{ t('runs.theChain') }}</RouterLink></template
        ><template #score
          ><RouterLink to="/score">{{ t('runs.limbByLimb') }}</RouterLink></template
        ></I18nT
      >
    </p>
    <ul v-else class="which off-paper" :aria-label="t('runs.whichRuns')">
      <li v-for="run in runs" :key="run.id">
        <el-checkbox :model-value="shown.some(({ id }) => id === run.id)" @change="toggle(run.id)">
          {{ run.name }}</el-checkbox
        >
        <IconButton :icon="ArrowUp" :name="t('common.runUp', { run: run.name })" @click="shift(run.id, -1)" />
      </li>
    </ul>
    <div class="sheet prints-wide">
      <p v-if="differences.length" class="said">{{ differences.join(' ') }}</p>
      <LateChart v-if="compared.length > 1" :title="t('runs.worthAsTheyGo')" :data="lines" :say="hundred" />
      <div class="columns" :style="{ '--side-by-side': compared.length }">
        <article v-for="(one, i) in compared" :key="one.run.id" class="panel">
          <h2>
            <RouterLink :to="`/score/${one.run.id}`">{{ one.run.name }}</RouterLink>
          </h2>
          <ol>
            <li v-for="(step, n) in one.steps" :key="n">
              <span>{{ step }}</span>
              <b v-if="typeof worths[i]?.[n + 1] === 'number'">{{ hundred(worths[i][n + 1]!) }}</b>
            </li>
          </ol>
          <p v-if="one.broken" class="broken">{{ t('runs.itEndsThereBroken', { broken: one.broken }) }}</p>
          <dl>
            <dt>{{ t('runs.worthFromItsStart') }}</dt>
            <dd>{{ startWorth(i) === null ? '–' : hundred(startWorth(i)!) }}</dd>
            <dt>{{ t('runs.time') }}</dt>
            <dd>{{ one.seconds }} s</dd>
            <dt>{{ t('runs.armsAtItsEnd') }}</dt>
            <dd>{{ one.arms.attack }} : {{ one.arms.defend }}</dd>
            <dt>{{ t('runs.theCheck') }}</dt>
            <dd>
              {{
                one.remarks ? t('common.nToLookAt', { n: t('count.thing', one.remarks) }) : t('runs.nothingToLookAt')
              }}
            </dd>
            <template v-if="points(i)">
              <dt>{{ t('runs.pointsUsThem') }}</dt>
              <dd>{{ points(i) }}</dd>
            </template>
            <dt>{{ t('runs.canInjure') }}</dt>
            <dd>{{ one.hazards.join(', ') || t('runs.nothingSaid') }}</dd>
            <dt>{{ t('runs.withoutAnAnswer') }}</dt>
            <dd>{{ one.open.join(', ') || t('common.nothing') }}</dd>
          </dl>
          <p v-if="letGo(i)" class="small">{{ letGo(i) }}</p>
          <InlineText
            :value="one.run.notes ?? ''"
            :label="t('runs.notesOnRun', { run: one.run.name })"
            :placeholder="t('runs.notes')"
            multiline
            @change="annotate(one.run.id, $event)"
          />
        </article>
      </div>
    </div>
    <PaperCautions :moves="cautioned" />
  </section>
</template>

<style scoped>
header,
.which,
.which li,
ol li {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: var(--space-8);
}

.which {
  flex-wrap: wrap;
  justify-content: flex-start;
  gap: var(--space-4) var(--space-16);
}

.empty {
  padding: var(--space-16) var(--space-16);
}

.sheet {
  display: grid;
  gap: var(--space-12);
  margin-top: var(--space-8);
}

.said {
  max-width: 80ch;
  font-size: var(--type-lead);
}

.columns {
  display: grid;
  gap: var(--space-16);
  grid-template-columns: repeat(var(--side-by-side), minmax(0, 1fr));
}

article {
  display: grid;
  align-content: start;
  gap: var(--space-8);
  padding: var(--space-16) var(--space-16);
}

h2 {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

ol li {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: var(--space-4) var(--space-12);
  margin: 0;
}

dt {
  color: var(--muted);
}

dd {
  margin: 0;
}

.broken {
  color: var(--leak);
}

@media screen and (width < 768px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
