<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { targetOf, valueOf } from '../../components/events'
import SteadyInput from '../../components/SteadyInput.vue'
import { BUILT_IN_RULES } from '../../core/chart/rules/builtInRules'
import { ruleSetOf } from '../../core/chart/rules/ruleSets'
import { DEFAULT_SECONDS, MAX_SECONDS, MAX_SHARPNESS, type Objective } from '../../core/game/scenario'
import type { PositionId } from '../../core/chart/ids'
import { clockRefusal, readClock } from '../../core/say/figureText'
import { timeText } from '../../stores/settings'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import { t } from '../../words/scenario'

/** What every number depends on. Change one and every figure on every screen follows. */
const charts = useCharts()
const store = useFigures()

const scenario = computed(() => present(store.scenario))
/** A computed of its own, so that the options are rebuilt only when the positions change. */
const positions = computed(() => present(charts.chart).positions)
const options = computed(() => positions.value.map(({ id, name }) => ({ value: id, label: name })))
const settings = computed(() => present(charts.chart).settings)
const ruleSets = computed(() => [
  { value: '', label: t('common.allIsAllowed') },
  ...[...(settings.value?.ruleSets ?? []), ...BUILT_IN_RULES].map(({ id, name }) => ({ value: id, label: name })),
])
const ruleNotes = computed(() => ruleSetOf(scenario.value.rules, settings.value?.ruleSets)?.notes ?? '')
const OBJECTIVES = [
  { value: 'careful', label: t('scenario.finishAndPosition') },
  { value: 'finish', label: t('scenario.finishesOnly') },
  { value: 'win', label: t('scenario.winTheMatch') },
]
/** Most scenarios are of an exchange. */
const MatchFields = defineAsyncComponent(() => import('./MatchFields.vue'))
const isMatch = computed(() => scenario.value.objective === 'win')
/** A match has an end. */
const setObjective = (objective: Objective) =>
  store.setScenario(
    objective === 'win' ? { objective, seconds: scenario.value.seconds ?? DEFAULT_SECONDS } : { objective },
  )
const wrong = ref<{ field: string; says: string } | null>(null)

function setTime(field: 'seconds' | 'breakUp', event: Event) {
  const input = targetOf(event, HTMLInputElement)
  const value = readClock(input.value)
  const isEndless = value === null && !(field === 'seconds' && isMatch.value)
  const isFine = isEndless || (typeof value === 'number' && value >= 1 && value <= MAX_SECONDS)
  const such = field === 'seconds' ? t('scenario.400240OrNone') : t('scenario.60130OrNever')
  wrong.value = isFine ? null : { field, says: clockRefusal(input.value, such) }
  if (isFine) store.setScenario({ [field]: value })
}

const textOf = (field: 'seconds' | 'breakUp') => {
  const value = scenario.value[field]
  if (field === 'seconds') return timeText(value)
  return value === null ? t('common.never') : t('scenario.secondsShort', { seconds: value })
}
const TIMES = [
  { field: 'seconds', says: t('scenario.clock'), hint: t('scenario.minutesAndSecondsOrNone') },
  { field: 'breakUp', says: t('scenario.somethingBreaksItUpAfterAbout'), hint: t('scenario.aTimeOrNever') },
] as const

/** Shares of tries, in per cent. */
const SHARES = [
  { field: 'repeat', says: t('scenario.aFailedMoveTriedAgainAt'), hint: t('scenario.percentAsWell') },
  { field: 'slips', says: t('scenario.triesThatComeToNothingAndLose'), hint: t('scenario.ofAHundredTriesThatCome') },
] as const

function setShare(field: (typeof SHARES)[number]['field'], event: Event) {
  const text = valueOf(event).replace('%', '').trim()
  const share = Number(text)
  const isFine = text !== '' && share >= 0 && share <= 100
  wrong.value = isFine ? null : { field, says: t('scenario.sayANumberFrom0To') }
  if (isFine) store.setScenario({ [field]: share / 100 })
}
</script>

<template>
  <section>
    <h3>{{ t('scenario.theExchange') }}</h3>
    <label
      ><span class="label">{{ t('common.start') }}</span>
      <el-select-v2
        :options="options"
        :model-value="scenario.start"
        filterable
        :aria-label="t('common.start')"
        @update:model-value="(start: PositionId) => store.setScenario({ start })"
    /></label>
    <label v-if="!isMatch"
      ><span class="label">{{ t('scenario.goal') }}</span>
      <el-select-v2
        :options="options"
        :model-value="scenario.goal"
        multiple
        filterable
        clearable
        collapse-tags
        collapse-tags-tooltip
        :placeholder="t('scenario.anyFinish')"
        :aria-label="t('scenario.goal')"
        @update:model-value="(goal: PositionId[]) => store.setScenario({ goal })"
    /></label>
    <div>
      <span class="label">{{ t('scenario.whatCounts') }}</span>
      <el-segmented
        direction="vertical"
        :options="OBJECTIVES"
        :model-value="scenario.objective"
        :aria-label="t('scenario.whatCounts')"
        @change="setObjective"
      />
    </div>
    <MatchFields v-if="isMatch" />
  </section>
  <section>
    <h3>{{ t('scenario.theTime') }}</h3>
    <label v-for="one in TIMES" :key="one.field" class="beside"
      ><span class="label">{{ one.says }}</span>
      <SteadyInput
        :value="textOf(one.field)"
        :aria-label="one.says"
        :data-tip="one.hint"
        @change="setTime(one.field, $event)"
      />
      <em v-if="wrong?.field === one.field" class="wrong" role="alert">{{ wrong.says }}</em></label
    >
  </section>
  <section>
    <h3>{{ t('scenario.thePartner') }}</h3>
    <div>
      <span class="label">{{
        t('common.theySeeItComingSharpness', { sharpness: Math.round(scenario.sharpness * 100) })
      }}</span>
      <el-slider
        :model-value="Math.round(scenario.sharpness * 100)"
        :max="MAX_SHARPNESS * 100"
        :step="5"
        :show-tooltip="false"
        :aria-label="t('scenario.howOftenTheySeeItComing')"
        @input="(percent: number) => store.setScenario({ sharpness: percent / 100 }, 'sharpness')"
      />
    </div>
    <label v-for="one in SHARES" :key="one.field" class="beside"
      ><span class="label">{{ one.says }}</span>
      <SteadyInput
        :value="t('scenario.percent', { percent: Math.round(scenario[one.field] * 100) })"
        :aria-label="one.says"
        :data-tip="one.hint"
        @change="setShare(one.field, $event)"
      />
      <em v-if="wrong?.field === one.field" class="wrong" role="alert">{{ wrong.says }}</em></label
    >
  </section>
  <section>
    <h3>{{ t('scenario.theEvent') }}</h3>
    <label
      ><span class="label">{{ t('common.rules') }}</span>
      <el-select-v2
        :options="ruleSets"
        :model-value="scenario.rules ?? ''"
        :empty-values="[null]"
        :aria-label="t('common.rules')"
        @update:model-value="(rules: string) => store.setScenario({ rules: rules || null })"
      />
      <small v-if="ruleNotes" class="muted small">{{ ruleNotes }}</small></label
    >
    <div class="beside">
      <span class="label" :data-tip="t('scenario.everyLeftAndRightAsSeen')">{{
        t('scenario.mirroredLeftIsRight')
      }}</span>
      <el-switch v-model="charts.isFlipped" :aria-label="t('scenario.mirroredLeftIsRight')" />
    </div>
  </section>
</template>

<style scoped src="./scenarioFields.css"></style>
<style scoped>
section {
  display: grid;
  gap: var(--space-8);
  padding-top: var(--space-12);
  border-top: 1px solid var(--line);
}

section > div {
  display: grid;
  gap: var(--space-4);
}

section > .beside {
  gap: var(--space-4) var(--space-12);
}

.beside > .el-switch {
  justify-self: end;
}
</style>
