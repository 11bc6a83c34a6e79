<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { valueOf } from '../../../components/events'
import { present } from '../../../core/sure'
import { computed, reactive, watch } from 'vue'
import { clockRefusal, finer, hundred, onceIn, readClock } from '../../../core/say/figureText'
import { timeText } from '../../../stores/settings'
import SteadyInput from '../../../components/SteadyInput.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { LIMBS, type Limb } from '../../../core/chart/words'
import { holder } from '../../../core/chart/hold'
import { capabilityWords, limbWords } from '../../../core/holds/limbWords'
import type { MetWhere } from '../../../core/insight/looseEnds'
import { allMet, keyOfMet, metByName } from '../../../core/questions/met'
import { whereMet, whereSeen } from '../../../core/say/beaten'
import { cueName } from '../../../core/say/seen'
import { figuresOfTries, sayChange, sayWhatIf } from '../../../core/say/whatIf'
import { allPlaced, keyOfPlaced } from '../../../core/questions/placed'
import { planSupposed } from '../../../core/questions/edits/planSupposed'
import type { Ifs } from '../../../core/questions/whatIf'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData } from '../../parts/chart/picture'
import CommitPanel from './CommitPanel.vue'
import DependsOn from './DependsOn.vue'
import LimitPanel from './LimitPanel.vue'
import OftenRow, { type Often } from './OftenRow.vue'
import SurePanel from './SurePanel.vue'
import TriesRow, { type Ofs } from './TriesRow.vue'
import { t } from '../../../words/runs'

/**
 * What would come of it if something were otherwise, without changing the chart; and what the start depends on most.
 */
const charts = useCharts()
const figures = useFigures()
const chart = computed(() => present(charts.chart))
/** What the fields of the screen say; texts are empty where nothing is asked. */
interface Asked {
  /** Figures of the tries, and how many of ten go so. */
  tries: Ofs[]
  /** What they use more or less often. */
  often: Often[]
  theyCannot: string
  weCannot: Limb | ''
  sharpness: number | null
  /** Seconds on the clock; null: none; undefined: as charted. */
  seconds: number | null | undefined
}
const nothingAsked = (): Asked => ({
  tries: [{ figure: '', ofTen: 0 }],
  often: [{ met: '', times: Infinity }],
  theyCannot: '',
  weCannot: '',
  sharpness: null,
  seconds: undefined,
})
const asked = reactive(nothingAsked())

/** A further supposition can be made as soon as the last one is. */
watch(
  asked,
  ({ tries, often }) => {
    if (tries.every(({ figure }) => figure)) tries.push({ figure: '', ofTen: 0 })
    if (often.every(({ met }) => met)) often.push({ met: '', times: Infinity })
  },
  { deep: true },
)

/** What they do on the best plan, those met most first. */
const reactions = computed(() => {
  const visits = new Map(
    (figures.figures?.met ?? []).map((one) => [`${one.move ?? one.position} ${one.reaction}`, one.visits]),
  )
  const times = (met: MetWhere) => visits.get(keyOfMet(met)) ?? 0
  const everywhere = metByName(chart.value)
    .filter(({ met }) => met.length > 1)
    .map(({ name, met }) => ({
      value: `everywhere ${name}`,
      met,
      visits: met.reduce((sum, one) => sum + times(one), 0),
      says: t('runs.nameWhereverItIsMet', { name }),
    }))
  const single = allMet(chart.value).map((met) => ({
    value: keyOfMet(met),
    met: [met],
    visits: times(met),
    says: `${lookUp(chart.value.reactions, met.reaction)?.name}, ${whereMet(chart.value, met)}`,
  }))
  return [...everywhere, ...single]
    .sort((a, b) => b.visits - a.visits)
    .map((one) => ({ ...one, label: `${one.says} (${onceIn(one.visits)})` }))
})
/** What they let us see: "his arm is always there". */
const sights = computed(() =>
  allPlaced(chart.value).map((where) => ({
    ...{ value: keyOfPlaced(where), where },
    label: t('runs.weSeeNameThere', { name: cueName(chart.value, where.cue), there: whereSeen(chart.value, where) }),
  })),
)
const capabilities = computed(() =>
  [...new Set(chart.value.reactions.flatMap(({ uses = [], usesAny = [] }) => [...uses, ...usesAny]))].sort(),
)
const limbs = computed(() => {
  const used = new Set(
    (chart.value.holds ?? []).filter((hold) => holder(hold) === 'ours').flatMap((hold) => hold.limbs),
  )
  return LIMBS.filter((limb) => used.has(limb))
})

const guesses = computed(() =>
  figuresOfTries(chart.value).map((one, i) => ({ ...one, value: String(i), label: one.says })),
)
const guessOf = (figure: string) => guesses.value.find(({ value }) => value === figure)

const ifs = computed((): Ifs => {
  const often = asked.often.flatMap(({ met, times }) => {
    const found = reactions.value.find(({ value }) => value === met)
    return found ? [{ met: found.met, times }] : []
  })
  const placed = asked.often.flatMap(({ met, times }) => {
    const found = sights.value.find(({ value }) => value === met)
    return found ? [{ where: found.where, times }] : []
  })
  const tries = asked.tries.flatMap(({ figure, ofTen }) => {
    const guess = guessOf(figure)
    return guess ? [{ target: guess.target, part: guess.part, share: ofTen / 10 }] : []
  })
  return {
    ...(tries.length ? { tries } : {}),
    ...(often.length ? { often } : {}),
    ...(placed.length ? { placed } : {}),
    ...(asked.theyCannot ? { theyCannot: asked.theyCannot } : {}),
    ...(asked.weCannot ? { weCannot: asked.weCannot } : {}),
    ...(asked.sharpness === null ? {} : { sharpness: asked.sharpness }),
    ...(asked.seconds === undefined ? {} : { seconds: asked.seconds }),
  }
})
const isAsked = computed(() => Object.keys(ifs.value).length > 0)
const { answer, progress } = useQuestion(() => (isAsked.value ? { of: 'whatIf' as const, ifs: ifs.value } : null))
const sentences = computed(() => (answer.value ? sayWhatIf(answer.value) : []))

function setClock(event: Event) {
  const text = valueOf(event)
  const seconds = readClock(text)
  if (seconds === undefined || seconds === 0) return void charts.tell(`${clockRefusal(text, t('runs.04040OrNone'))}.`)
  asked.seconds = seconds
}
/** What a chart can say of itself: tries, and the scenario. What one lacks is only supposed. */
const canPlan = computed(() => isAsked.value && !asked.theyCannot && !asked.weCannot)
function planForIt() {
  const [what, seen] = [ifs.value, chart.value]
  charts.edit(t('runs.planForWhatWasSupposed'), (draft) => planSupposed(draft, what, seen))
  clear()
  charts.tell(t('runs.theChartNowGoesAsWas'), 'info', 'undo')
}

/** Before and after, side by side. */
const beforeAfter = computed((): ChartData | null => {
  const found = answer.value
  if (!found) return null
  const { now, then, finish, behind } = found
  return {
    ...{ kind: 'bars', isAcross: true, along: t('runs.inAHundredExchanges') },
    labels: [t('common.worth'), t('runs.weFinish'), t('runs.behindOrCaught')],
    series: [
      { name: t('runs.asItIsNow'), token: 'track', values: [now, finish.now, behind.now] },
      { name: t('runs.then'), token: 'ours', values: [then, finish.then, behind.then] },
    ],
  }
})

const clear = () => Object.assign(asked, nothingAsked())
</script>

<template>
  <section class="panel what" :aria-label="t('common.whatIf')">
    <h1>{{ t('runs.whatIf') }}</h1>
    <div class="pairs">
      <OftenRow
        v-for="(_, i) in asked.often"
        :key="`often ${i}`"
        v-model="asked.often[i]!"
        :options="[...reactions, ...sights]"
        :number="i + 1"
      />
      <TriesRow
        v-for="(_, i) in asked.tries"
        :key="`tries ${i}`"
        v-model="asked.tries[i]!"
        :options="guesses"
        :number="i + 1"
      />
    </div>
    <div class="ifs">
      <label>
        <span class="label">{{ t('runs.theyCannot') }}</span>
        <PickList
          :value="asked.theyCannot"
          :aria-label="t('runs.whatTheyCannotDo')"
          :options="[
            { value: '', label: '–' },
            ...capabilities.map((one) => ({ value: one, label: capabilityWords(one) })),
          ]"
          @change="(picked) => (asked.theyCannot = picked)"
        />
      </label>
      <label>
        <span class="label">{{ t('runs.weCannotUseOur') }}</span>
        <PickList
          :value="asked.weCannot"
          :aria-label="t('runs.whatWeCannotUse')"
          :options="[{ value: '', label: '–' }, ...limbs.map((one) => ({ value: one, label: limbWords(one) }))]"
          @change="(picked) => (asked.weCannot = picked)"
        />
      </label>
      <label>
        <span class="label">{{
          t('common.theySeeItComingSharpness', {
            sharpness: Math.round((asked.sharpness ?? figures.scenario!.sharpness) * 100),
          })
        }}</span>
        <el-slider
          :max="90"
          :step="5"
          :show-tooltip="false"
          :model-value="Math.round((asked.sharpness ?? figures.scenario!.sharpness) * 100)"
          :aria-label="t('runs.howOftenTheyWouldSeeIt')"
          @input="(percent: number) => (asked.sharpness = percent / 100)"
        />
      </label>
      <label class="short">
        <span class="label">{{ t('runs.leftOnTheClock') }}</span>
        <SteadyInput
          :value="timeText(asked.seconds === undefined ? figures.scenario!.seconds : asked.seconds)"
          :aria-label="t('runs.leftOnTheClock2')"
          @change="setClock"
        />
      </label>
      <el-button v-if="isAsked" text @click="clear">{{ t('runs.asItIs2') }}</el-button>
      <el-button v-if="canPlan" :data-tip="t('runs.changesTheChartAndTheScenario')" @click="planForIt">
        {{ t('runs.planForThis') }}
      </el-button>
    </div>
    <p v-if="!isAsked" class="muted">{{ t('runs.supposeSomethingNothingOfItChanges') }}</p>
    <p v-else-if="progress !== null" role="status" class="muted">{{ t('runs.workingItOut') }}</p>
    <template v-else-if="answer">
      <p class="said" :data-tip="t('runs.insteadOf', { then: finer(answer.then), now: finer(answer.now) })">
        {{ sentences.join(' ') }}
      </p>
      <LateChart v-if="beforeAfter" :title="t('common.whatIf')" :data="beforeAfter" :say="hundred" />
      <ul v-if="answer.changes.length" :aria-label="t('count.change', answer.changes.length)">
        <li v-for="change in answer.changes.slice(0, 8)" :key="change.position">
          <RouterLink :to="`/worksheet/${change.position}`">{{ sayChange(chart, change) }}</RouterLink>
        </li>
      </ul>
    </template>
  </section>
  <div class="panels">
    <SurePanel />
    <CommitPanel />
    <LimitPanel />
    <DependsOn />
  </div>
</template>

<style scoped src="./suppose.css"></style>

<style scoped>
.what {
  display: grid;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16);
}

.panels {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(680px, 100%), 1fr));
  gap: var(--space-12);
  align-items: start;
}

.pairs {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(460px, 100%), 1fr));
  gap: var(--space-8) var(--space-24);
}

.ifs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-12);
  align-items: start;
}

.ifs > .el-button {
  align-self: end;
}

.short {
  width: 104px;
}

.said {
  max-width: 72ch;
  font-size: var(--type-head);
  line-height: 1.5;
}

li {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

li a {
  text-decoration: none;
}
</style>
