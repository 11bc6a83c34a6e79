<script setup lang="ts">
import { computed } from 'vue'
import { numberOf } from '../../../components/events'
import SteadyInput from '../../../components/SteadyInput.vue'
import { setPoints } from '../../../core/chart/edits/ruleSets'
import {
  MAX_HELD,
  SCORING_ACTIONS,
  type HoldDown,
  type RuleSet,
  type ScoringAction,
} from '../../../core/chart/rules/ruleSet'
import { scores } from '../../../core/chart/rules/ruleSets'
import { entriesOf } from '../../../core/typed'
import { useCharts } from '../../../stores/charts'
import { useRuleEdits } from './ruleEdits'
import { t } from '../../../words/rules'

/** What scores under a set of rules, how long it must be held for that, and how long the ground is given. */
const props = defineProps<{ set: RuleSet; isOwn: boolean }>()
const charts = useCharts()

const change = useRuleEdits(() => props.set)

/** Where nothing can be changed, only what counts. */
const actions = computed(() =>
  entriesOf(SCORING_ACTIONS).filter(([score]) => props.isOwn || (props.set.points?.[score] ?? 0) > 0),
)
const scoresNothing = computed(() => !props.isOwn && !scores(props.set))

function setActionPoints(action: ScoringAction, event: Event) {
  const { id, name } = props.set
  charts.edit(t('rules.pointsName', { name }), (draft) => setPoints(draft, id, action, numberOf(event)))
}

function setControl(points: number, every: number) {
  change(t('rules.controlTime'), 'controlTime', points === 0 ? undefined : { every, points })
}

/** A hold-down that gives nothing goes. */
function setHoldDown(at: number, one: HoldDown) {
  const all = [...(props.set.holdDown ?? [])]
  all[at] = one
  const left = all.filter(({ points }) => points !== 0)
  change(t('rules.holdDown'), 'holdDown', left.length ? left : undefined)
}

/** Twice as long as the longest so far, for as many points. */
function addHoldDown() {
  const { holdDown } = props.set
  const { seconds, points } = holdDown?.at(-1) ?? { seconds: 5, points: 1 }
  setHoldDown(holdDown?.length ?? 0, { seconds: Math.min(MAX_HELD, seconds * 2), points })
}

const orNone = (n: number) => (n === 0 ? undefined : n)
</script>

<template>
  <fieldset :disabled="!isOwn">
    <legend>{{ t('rules.whatScores') }}</legend>
    <p v-if="scoresNothing" class="muted">{{ t('rules.nothingScores') }}</p>
    <label v-for="[score, name] in actions" :key="score" class="score">
      <span>{{ name }}</span>
      <SteadyInput
        :value="set.points?.[score] ?? 0"
        :aria-label="t('rules.pointsForName', { name })"
        @change="setActionPoints(score, $event)"
      />
    </label>
    <label v-if="isOwn || set.heldFor" class="score">
      <span>{{ t('rules.mustBeHeldFor') }}</span>
      <SteadyInput
        :value="set.heldFor ?? 0"
        :aria-label="t('rules.secondsHeldBeforeItCounts')"
        @change="change(t('rules.heldFor'), 'heldFor', orNone(numberOf($event)))"
      />
    </label>
    <label v-if="isOwn || set.controlTime" class="score">
      <span>{{ t('rules.controlOnTheGround') }}</span>
      <SteadyInput
        :value="set.controlTime?.points ?? 0"
        :aria-label="t('rules.pointsForControl')"
        @change="setControl(numberOf($event), set.controlTime?.every ?? 30)"
      />
    </label>
    <label v-if="set.controlTime" class="score">
      <span>{{ t('rules.forEverySoManySeconds') }}</span>
      <SteadyInput
        :value="set.controlTime.every"
        :aria-label="t('rules.secondsOfControlThatScore')"
        @change="setControl(set.controlTime.points, numberOf($event))"
      />
    </label>
    <div v-for="(one, i) in set.holdDown ?? []" :key="i" class="score">
      <span class="seconds">
        {{ t('rules.heldDownForSeconds') }}
        <SteadyInput
          :value="one.seconds"
          :aria-label="t('rules.secondsOfHoldDown', { n: i + 1 })"
          @change="setHoldDown(i, { ...one, seconds: numberOf($event) })"
        />
        s
      </span>
      <SteadyInput
        :value="one.points"
        :aria-label="t('rules.pointsForHoldDown', { n: i + 1 })"
        @change="setHoldDown(i, { ...one, points: numberOf($event) })"
      />
    </div>
    <el-button v-if="isOwn" size="small" @click="addHoldDown">{{ t('rules.addAHoldDown') }}</el-button>
    <label v-if="isOwn || set.stoodUp" class="score">
      <span>{{ t('rules.stoodUpAfter') }}</span>
      <SteadyInput
        :value="set.stoodUp ?? 0"
        :aria-label="t('rules.secondsUntilStoodUp')"
        @change="change(t('rules.stoodUp'), 'stoodUp', orNone(numberOf($event)))"
      />
    </label>
  </fieldset>
</template>

<style scoped src="./ruleFields.css"></style>
<style scoped>
.score {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-8);
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

.seconds {
  display: inline-flex;
  align-items: center;
  gap: var(--space-4);
}

.el-input {
  flex: none;
  width: 54px;
  text-align: right;
}
</style>
