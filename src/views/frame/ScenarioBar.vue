<script setup lang="ts">
import { targetOf } from '../../components/events'
import { valueOf } from '../../components/events'
import { present } from '../../core/sure'
import SteadyInput from '../../components/SteadyInput.vue'
import { useNow } from '@vueuse/core'
import { computed, ref } from 'vue'
import { clockRefusal, clockText, readClock, signed } from '../../core/say/figureText'
import { BUILT_IN_RULES } from '../../core/chart/rules/builtInRules'
import { ruleSetOf } from '../../core/chart/rules/ruleSets'
import type { PositionId } from '../../core/chart/ids'
import { WORTH } from '../../core/say/worth'
import { MAX_SECONDS } from '../../core/game/scenario'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import AskedFigure from '../parts/figures/AskedFigure.vue'
import { t } from '../../words'

/** What every number depends on. Change one and every figure on every screen follows. */
const charts = useCharts()
const store = useFigures()
const now = useNow({ interval: 1000 })

const scenario = computed(() => present(store.scenario))
/** A computed of its own, so that the options are rebuilt only when the positions change. */
const positions = computed(() => present(charts.chart).positions)
const options = computed(() => positions.value.map(({ id, name }) => ({ value: id, label: name })))
const ruleSets = computed(() => [...(present(charts.chart).settings?.ruleSets ?? []), ...BUILT_IN_RULES])
const ruleNotes = computed(() => ruleSetOf(scenario.value.rules, present(charts.chart).settings?.ruleSets)?.notes ?? '')
const wrong = ref<{ field: string; says: string } | null>(null)

function setTime(field: 'seconds' | 'breakUp', event: Event) {
  const input = targetOf(event, HTMLInputElement)
  const value = readClock(input.value)
  const isFine = value === null || (value !== undefined && value >= 1 && value <= MAX_SECONDS)
  const such = field === 'seconds' ? t('frame.400240OrNone') : t('frame.60130OrNever')
  wrong.value = isFine ? null : { field, says: clockRefusal(input.value, such) }
  if (!isFine) return
  store.setScenario({ [field]: value })
  input.value = textOf(field)
}

const textOf = (field: 'seconds' | 'breakUp') => {
  const value = scenario.value[field]
  return field === 'seconds' ? clockText(value) : value === null ? 'never' : `${value} s`
}

/** Shares of tries, in per cent. */
const SHARES = [
  {
    field: 'repeat',
    label: t('frame.again'),
    says: t('frame.aFailedMoveTriedAgainAt'),
  },
  { field: 'slips', label: t('common.slips'), says: t('frame.ofAHundredTriesThatCome') },
] as const

function setShare(field: (typeof SHARES)[number]['field'], event: Event) {
  const text = valueOf(event).replace('%', '').trim()
  const share = Number(text)
  const isFine = text !== '' && share >= 0 && share <= 100
  wrong.value = isFine ? null : { field, says: t('frame.sayANumberFrom0To') }
  if (isFine) store.setScenario({ [field]: share / 100 })
}

/** By how much the headline has just moved; shown for a while. */
const delta = computed(() => {
  const { change, figures } = store
  if (!change || !figures || now.value.getTime() - change.at > 12_000) return null
  const moved = figures.value - change.from
  return Math.abs(moved) < 0.0005 ? null : moved
})
</script>

<template>
  <section class="bar" :aria-label="t('common.scenario')">
    <label class="start">
      <span class="label">{{ t('common.start') }}</span>
      <el-select-v2
        :options="options"
        :model-value="scenario.start"
        filterable
        size="small"
        :aria-label="t('common.start')"
        @update:model-value="(start: PositionId) => store.setScenario({ start })"
      >
      </el-select-v2>
    </label>
    <label class="goal">
      <span class="label">{{ t('frame.goal') }}</span>
      <el-select-v2
        :options="options"
        :model-value="scenario.goal"
        multiple
        filterable
        clearable
        collapse-tags
        collapse-tags-tooltip
        size="small"
        :placeholder="t('frame.anyFinish')"
        :aria-label="t('frame.goal')"
        @update:model-value="(goal: PositionId[]) => store.setScenario({ goal })"
      >
      </el-select-v2>
    </label>
    <label class="short">
      <span class="label">{{ t('frame.clock') }}</span>
      <SteadyInput
        class="field"
        :value="textOf('seconds')"
        :aria-label="t('frame.clock')"
        :title="t('frame.minutesAndSecondsOrNone')"
        @change="setTime('seconds', $event)"
      />
    </label>
    <label class="reads">
      <span class="label">{{
        t('frame.seeItComingSharpness', { sharpness: Math.round(scenario.sharpness * 100) })
      }}</span>
      <input
        type="range"
        min="0"
        max="90"
        step="5"
        :value="Math.round(scenario.sharpness * 100)"
        :aria-label="t('frame.howOftenTheySeeItComing')"
        :title="t('frame.howOftenTheySeeItComing2')"
        @input="store.setScenario({ sharpness: Number(valueOf($event)) / 100 }, 'sharpness')"
      />
    </label>
    <label class="short">
      <span class="label">{{ t('frame.brokenUp') }}</span>
      <SteadyInput
        class="field"
        :value="textOf('breakUp')"
        :aria-label="t('frame.somethingBreaksItUpAfterAbout')"
        :title="t('frame.somethingBreaksItUpAfterAboutSo')"
        @change="setTime('breakUp', $event)"
      />
    </label>
    <label v-for="one in SHARES" :key="one.field" class="short">
      <span class="label">{{ one.label }}</span>
      <SteadyInput
        class="field"
        :value="`${Math.round(scenario[one.field] * 100)} %`"
        :aria-label="one.says"
        :title="one.says"
        @change="setShare(one.field, $event)"
      />
    </label>
    <label class="counts">
      <span class="label">{{ t('frame.whatCounts') }}</span>
      <select
        class="field"
        :value="scenario.objective"
        :aria-label="t('frame.whatCounts')"
        @change="store.setScenario({ objective: valueOf($event) as 'careful' | 'finish' })"
      >
        <option value="careful">{{ t('frame.finishAndPosition') }}</option>
        <option value="finish">{{ t('frame.finishesOnly') }}</option>
      </select>
    </label>
    <label class="counts">
      <span class="label">{{ t('common.rules') }}</span>
      <select
        class="field"
        :value="scenario.rules ?? ''"
        :aria-label="t('common.rules')"
        :title="ruleNotes"
        @change="store.setScenario({ rules: valueOf($event) || null })"
      >
        <option value="">{{ t('common.allIsAllowed') }}</option>
        <option v-for="{ id, name } in ruleSets" :key="id" :value="id">{{ name }}</option>
      </select>
    </label>
    <div class="side">
      <span class="label">{{ t('frame.side') }}</span>
      <button
        type="button"
        class="button"
        :aria-pressed="charts.isFlipped"
        :title="t('frame.everyLeftAndRightAsSeen')"
        @click="charts.isFlipped = !charts.isFlipped"
      >
        {{ charts.isFlipped ? t('frame.mirrored') : t('frame.ownSide') }}
      </button>
    </div>
    <div class="headline">
      <span v-if="store.points" class="label"
        >{{ t('frame.worth') }}
        <RouterLink to="/rules" :title="t('frame.expectedPointsAnExchangeUnderRules', { rules: store.rules?.name })"
          >{{ t('common.points') }}
          <b data-test="points"
            >{{ store.points.ours.toFixed(1) }} : {{ store.points.theirs.toFixed(1) }}</b
          ></RouterLink
        ></span
      >
      <RouterLink
        v-else-if="store.lacks.length"
        to="/desk"
        class="label rough"
        :title="t('frame.tooLittleIsChartedToTrust')"
        >{{ t('frame.roughTooLittleCharted') }}</RouterLink
      >
      <span v-else class="label" :title="WORTH">{{ t('common.worth') }}</span>
      <span class="value" aria-live="polite" data-test="headline">
        <AskedFigure :value="store.figures?.value" :asked="{ of: 'start' }" :label="t('common.worthOfTheStart')" />
        <span v-if="delta !== null" class="delta" :class="delta > 0 ? 'up' : 'down'"
          >{{ delta > 0 ? '▲' : '▼' }}
          {{ signed(delta) === '0' ? (delta * 100).toFixed(2).replace('-', '−') : signed(delta) }}</span
        >
        <span v-else-if="store.isBusy" class="delta muted">…</span>
      </span>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong.says }}</p>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 7px;
  padding: 8px 16px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}

label {
  display: grid;
  gap: 2px;
}

label > .label {
  white-space: nowrap;
}

.bar :deep(.el-select__wrapper) {
  min-height: 28px;
  font-size: 14px;
}

.start {
  width: 150px;
}

.goal {
  width: 104px;
}

.short {
  width: 60px;
}

.reads {
  width: 104px;
}

.counts {
  width: 128px;
}

.side {
  display: grid;
  gap: 2px;
}

.side .button {
  min-height: 28px;
  padding: 1px 8px;
  font-size: 14px;
}

.side [aria-pressed='true'] {
  border-color: var(--ours);
  background: var(--ours);
  color: var(--ours-ink);
}

.field {
  height: 28px;
  min-height: 28px;
  padding: 1px 6px;
  font-size: 14px;
}

select.field {
  font: 600 16px/1.2 var(--label);
}

input[type='range'] {
  width: 100%;
  height: 28px;
  margin: 0;
  accent-color: var(--ours);
}

.headline a {
  color: inherit;
}

.headline .rough {
  color: var(--caution);
}

.headline {
  display: grid;
  margin-left: auto;
  text-align: right;
}

.value {
  display: inline-flex;
  justify-content: flex-end;
  align-items: baseline;
  gap: 8px;
}

.value :deep(.number) {
  font-size: 30px;
  line-height: 1;
}

.delta {
  order: -1;
  font: 700 17px/1 var(--label);
}

.up {
  color: var(--trap);
}

.down {
  color: var(--leak);
}

.wrong {
  flex-basis: 100%;
  color: var(--leak);
}
</style>
