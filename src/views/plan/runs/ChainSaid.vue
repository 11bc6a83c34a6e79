<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { present } from '../../../core/sure'
import { computed, ref, shallowRef, watch } from 'vue'
import { hundred } from '../../../core/say/figureText'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import type { PositionId } from '../../../core/chart/ids'
import { addRun } from '../../../core/chart/edits/runs'
import { bestRunFrom } from '../../../core/insight/bestRun'
import { lookUp } from '../../../core/chart/lookUp'
import type { Script } from '../../../core/questions/script'
import { sayClose } from '../../../core/say/range'
import { sayLoop, sayScript, scriptAsMarkdown } from '../../../core/say/script'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useRange } from '../../../stores/range'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import HowSure from '../../parts/figures/HowSure.vue'
import { fileName, OUTPUTS } from '../../../core/files/fileKinds'
import { download } from '../../parts/files/download'
import PrintButton from '../../parts/print/PrintButton.vue'
import { scenarioLine } from '../../parts/print/scenarioLine'
import GiveUpPanel from './GiveUpPanel.vue'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import SaidText from './SaidText.vue'
import { t } from '../../../words/runs'

/** The best plan from a position, told as a coach would tell it, as far as it matters; to print or to save. */
const charts = useCharts()
const figures = useFigures()
const range = useRange()
const chart = computed(() => present(charts.chart))
const from = ref<PositionId>()
const share = ref(0.8)
/** Undefined while it is worked out for the first time; null where nothing is to be done. */
const script = shallowRef<Script | null>()
/** Shares of all exchanges (0 to 1) that the coach may have told. More does not fit on two pages. */
const SHARES = [0.6, 0.7, 0.8, 0.9]
const MAX_PARAGRAPHS = 60

const start = computed(() =>
  lookUp(chart.value.positions, from.value) ? present(from.value) : present(figures.scenario).start,
)
const options = computed(() => chart.value.positions.map(({ id, name }) => ({ value: id, label: name })))

let asked = 0
watch(
  () => [figures.figures, start.value, share.value] as const,
  async ([found]) => {
    const mine = ++asked
    const told = found && (await figures.script(start.value, { share: share.value, steps: MAX_PARAGRAPHS }))
    if (mine === asked && found) script.value = told || null
  },
  { immediate: true },
)

/** Where the range is known, what is too close to call is said with what is done there. */
const closeAt = computed(
  () => new Map<string, string>(range.range?.close.map((close) => [close.position, sayClose(chart.value, close)])),
)
const told = computed(() => {
  const paragraphs = script.value ? sayScript(chart.value, script.value) : []
  return paragraphs.map((one) => ({
    ...one,
    at: lookUp(chart.value.positions, one.position),
    watch:
      one.value === null || !closeAt.value.has(one.position)
        ? one.watch
        : [present(closeAt.value.get(one.position)), ...one.watch],
  }))
})
const loops = computed(() =>
  (script.value?.loops ?? []).slice(0, 2).map((loop) => sayLoop(chart.value, present(script.value), loop)),
)
const cautions = computed(() =>
  cautionLines(told.value.flatMap(({ move }) => lookUp(chart.value.moves, move ?? undefined) ?? [])),
)
const title = computed(() => t('runs.theChainFromStart', { start: lookUp(chart.value.positions, start.value)?.name }))
const scenario = computed(() => scenarioLine(chart.value, charts.isFlipped))

/** The best plan as if every move landed: a run to look at limb by limb, or beside others. */
function keep() {
  const steps = bestRunFrom(chart.value, present(figures.figures), start.value)
  const name = t('common.fromValue', { value: lookUp(chart.value.positions, start.value)?.name })
  charts.edit(t('runs.keepTheRunName', { name }), (draft) => void addRun(draft, name, start.value, steps))
  charts.tell(t('runs.nameIsKeptWithTheRuns', { name }), 'info', 'undo')
}

const covered = computed(() =>
  script.value ? t('runs.coveredOfAHundredExchangesStay', { covered: hundred(script.value.covered) }) : '',
)
const save = () =>
  download(
    new Blob([scriptAsMarkdown(title.value, [scenario.value, covered.value, ...loops.value], told.value, hundred)], {
      type: OUTPUTS.markdown.type,
    }),
    fileName(OUTPUTS.markdown, chart.value.id, 'chain'),
  )
const goTo = (number: number) => document.getElementById(`told-${number}`)?.scrollIntoView({ block: 'start' })
</script>

<template>
  <section class="chain" :aria-label="t('common.theChainSaid')">
    <header>
      <h1>{{ title }}</h1>
      <div class="tools off-paper">
        <label>
          <span class="label">{{ t('runs.from') }}</span>
          <el-select-v2
            :options="options"
            :model-value="start"
            filterable
            size="small"
            :aria-label="t('runs.toldFrom')"
            @update:model-value="(id: PositionId) => (from = id)"
          />
        </label>
        <label>
          <span class="label">{{ t('runs.howMuchOfIt') }}</span>
          <PickList
            :value="share"
            :aria-label="t('runs.howMuchIsTold')"
            :options="
              SHARES.map((one) => ({ value: one, label: t('runs.whatHappensOneTimesOfTen', { one: one * 10 }) }))
            "
            @change="(picked) => (share = picked)"
          />
        </label>
        <el-button :data-tip="t('runs.theMovesAsTheyLandAs')" @click="keep">
          {{ t('runs.keepAsARun') }}
        </el-button>
        <PrintButton />
        <el-button @click="save">{{ t('runs.saveAsMarkdown') }}</el-button>
        <HowSure />
      </div>
    </header>
    <div class="panel sheet">
      <p v-if="script" class="muted small">{{ covered }}</p>
      <el-skeleton v-else-if="script === undefined" :rows="8" />
      <p v-else class="muted">{{ t('runs.thereIsNothingToDoFrom') }}</p>
      <p v-for="loop in loops" :key="loop" class="loop">{{ loop }}</p>
      <article v-for="one in told" :id="`told-${one.number}`" :key="one.key">
        <span class="number" aria-hidden="true">{{ one.number }}</span>
        <PositionFigure v-if="one.at" class="picture" :chart="chart" :position="one.at" />
        <div class="body">
          <h2>
            <RouterLink :to="{ path: `/worksheet/${one.position}`, query: one.move ? { move: one.move } : {} }">{{
              one.head
            }}</RouterLink>
            <span v-if="one.value !== null" class="worth-printed">{{
              t('common.worthWorth', { worth: hundred(one.value) })
            }}</span>
          </h2>
          <p class="says"><SaidText :sentences="one.says" @go="goTo" /></p>
          <ul v-if="one.watch.length" class="watch">
            <li v-for="line in one.watch" :key="line" :class="{ caution: line.startsWith('Caution') }">{{ line }}</li>
          </ul>
        </div>
        <div class="worth off-paper">
          <AskedFigure
            v-if="one.value !== null"
            :value="one.value"
            :asked="{ of: 'position', position: one.position as PositionId }"
            :label="t('common.worthOfMove', { move: one.head })"
          />
        </div>
      </article>
      <CautionLines v-if="told.length" :lines="cautions" />
    </div>
    <GiveUpPanel v-if="script !== undefined" class="off-paper" />
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: var(--space-8) var(--space-24);
  margin-bottom: var(--space-12);
}

.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: var(--space-12);
}

label {
  display: grid;
  gap: var(--space-4);
  width: 232px;
}

label :deep(.el-select__wrapper) {
  min-height: var(--control);
  font-size: var(--type-body);
}

.sheet {
  display: grid;
  gap: var(--space-4);
  align-content: start;
  padding: var(--space-16) var(--space-16);
}

@media screen and (width >= 1600px) {
  .chain {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 600px);
    gap: 0 var(--space-16);
    align-items: start;
  }

  header {
    grid-column: 1 / -1;
  }
}

article {
  display: grid;
  grid-template-columns: 30px auto minmax(0, 1fr) auto;
  gap: var(--space-4) var(--space-12);
  padding: var(--space-12) 0;
  border-top: 1px solid var(--line);
  break-inside: avoid;
  scroll-margin-top: 12px;
}

.picture {
  --thumb: 104px;
}

@media screen and (width < 768px) {
  article {
    grid-template-columns: 30px minmax(0, 1fr) auto;
  }

  .picture {
    grid-column: 2 / -1;
  }

  .body {
    grid-column: 2;
  }
}

.loop {
  max-width: 78ch;
}

.number {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  color: var(--ours);
}

h2 {
  font: var(--weight-strong) var(--type-head) / 1.25 var(--label);
}

h2 a {
  color: inherit;
  text-decoration: none;
}

h2 a:hover {
  text-decoration: underline;
}

.worth-printed {
  display: none;
}

.says {
  max-width: 78ch;
  font-size: var(--type-lead);
  line-height: 1.5;
}

.watch {
  margin-top: var(--space-4);
  color: var(--muted);
  font-size: var(--type-body);
}

.watch .caution {
  color: var(--caution);
}

.worth :deep(.number) {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

/* Two pages at most, and still read from the mat's edge. */
@media print {
  .worth-printed {
    display: inline;
  }

  .sheet {
    display: block;
    border: 0;
    columns: 2;
    column-gap: 7mm;
    padding: 0;
  }

  article {
    grid-template-columns: 18px minmax(0, 1fr);
    padding: var(--space-4) 0;
  }

  .number,
  h2 {
    font-size: var(--type-small);
  }

  .says,
  .loop,
  .sheet > .muted {
    font-size: var(--type-small);
    line-height: 1.35;
  }

  .watch,
  .sheet :deep(.lines) {
    font-size: var(--type-small);
    line-height: 1.3;
  }
}
</style>
