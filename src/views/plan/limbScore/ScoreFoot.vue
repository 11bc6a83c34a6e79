<script setup lang="ts">
import { sure } from '../../../core/sure'
import { computed } from 'vue'
import { finer, hundred } from '../../../core/say/figureText'
import { timeText } from '../../../stores/settings'
import { costsOf } from '../../../core/limbScore/costs'
import { armsFree, controlsOf, holdsOf } from '../../../core/limbScore/limbs'
import { HoldTable } from '../../../core/holds/holdTable'
import { capabilityWords } from '../../../core/holds/limbWords'
import { useScore } from './score'
import { t } from '../../../words/score'

/** Under the score, at each step: arms to attack and to defend, what is controlled, what it costs, what it is worth. */
const { chart, played, beat, worths } = useScore()
const table = computed(() => new HoldTable(chart.value.holds ?? []))
const beats = computed(() => {
  const costs = costsOf(chart.value, played.value.beats)
  return played.value.beats.map((one, i) => ({
    ...{ arms: armsFree(holdsOf(chart.value, one.holds)), controls: controlsOf(table.value, one.holds) },
    ...{ seconds: one.seconds, costs: sure(costs[i]), worth: worths.value?.[i], isOver: one.place.kind === 'finish' },
  }))
})
const asked = computed(() => beats.value[0]?.controls.map(({ ask }) => ask) ?? [])
const tenths = (left: number) => Math.round(left * 10)
const costText = (cost: { capability: string; before: number; after: number }) =>
  `${capabilityWords(cost.capability)} ${tenths(cost.before)}→${tenths(cost.after)}`
</script>

<template>
  <div class="foot">
    <div class="columns arms" role="group" :aria-label="t('score.armsToAttackAndToDefend')">
      <b>{{ t('score.armsToAttackToDefend') }}</b>
      <span v-for="({ arms }, i) in beats" :key="i" :class="{ chosen: i === beat, ahead: arms.attack > arms.defend }">
        {{ arms.attack }} : {{ arms.defend }}
      </span>
    </div>
    <div
      v-for="(ask, row) in asked"
      :key="ask"
      class="columns"
      role="group"
      :aria-label="t('common.theirAsk', { ask })"
    >
      <b>{{ t('common.theirAsk', { ask }) }}</b>
      <span v-for="({ controls }, i) in beats" :key="i" :class="[sure(controls[row]).control, { chosen: i === beat }]">
        {{ sure(controls[row]).control }}
      </span>
    </div>
    <div class="columns costs" role="group" :aria-label="t('score.whatEachStepGivesBackTo')">
      <b>{{ t('score.whatTheyGetBackOfTen') }}</b>
      <span
        v-for="({ costs }, i) in beats"
        :key="i"
        :class="{ chosen: i === beat }"
        :data-tip="costs.map(costText).join('; ')"
      >
        <template v-for="cost in costs.slice(0, 2)" :key="cost.capability">{{ costText(cost) }}<br /></template>
        <template v-if="costs.length > 2">{{ t('common.andNMore', { n: costs.length - 2 }) }}</template>
      </span>
    </div>
    <div class="columns" role="group" :aria-label="t('score.timeSinceTheStart')">
      <b>{{ t('score.time') }}</b>
      <span v-for="({ seconds }, i) in beats" :key="i" :class="{ chosen: i === beat }">{{ timeText(seconds) }}</span>
    </div>
    <div class="columns worth" role="group" :aria-label="t('score.whatItIsWorthToBe')">
      <b>{{ t('common.worth2') }}</b>
      <span
        v-for="({ worth }, i) in beats"
        :key="i"
        :class="{ chosen: i === beat }"
        :data-tip="typeof worth === 'number' ? finer(worth) : t('score.theGameDoesNotComeHere')"
      >
        {{ typeof worth === 'number' ? hundred(worth) : worth === null ? t('score.notSo') : '' }}
      </span>
    </div>
  </div>
</template>

<style scoped>
.foot {
  margin-top: var(--space-8);
  border-top: 1px solid var(--strong-line);
}

.columns {
  align-items: center;
  padding: var(--space-4) 0;
}

b {
  font: var(--weight-strong) var(--type-lead) / 1.15 var(--label);
}

.columns > span {
  align-self: stretch;
  padding: var(--space-4) var(--space-4);
  text-align: center;
  font: var(--weight-strong) var(--type-body) / 1.2 var(--label);
}

.chosen {
  background: var(--band);
}

.arms > span,
.worth > span {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  font-variant-numeric: tabular-nums;
}

.ahead {
  color: var(--trap);
}

.free {
  color: var(--theirs);
}

.partly {
  color: var(--muted);
}

.costs > span {
  color: var(--leak);
  font-weight: var(--weight);
  font-size: var(--type-small);
}
</style>
