<script setup lang="ts">
import { valueOf } from '../../../components/events'
import { computed, ref } from 'vue'
import { present } from '../../../core/sure'
import { sayChangedUse } from '../../../core/say/limited'
import { finer, share } from '../../../core/say/figureText'
import SteadyInput from '../../../components/SteadyInput.vue'
import type { PlanOutcome } from '../../../core/questions/limit'
import { useCharts } from '../../../stores/charts'
import { useQuestion } from '../../../stores/questions'
import { t } from '../../../words/runs'

/** Never risk more than so much of ending behind: what it costs, and the plan that keeps it. */
const charts = useCharts()
const FEW = 6
/** A smaller difference of risk is none. */
const TELLING_APART = 0.001
const limit = ref<number | null>(null)
const { answer, progress } = useQuestion(() =>
  limit.value === null ? null : { of: 'limit' as const, limit: limit.value },
)
/** Two plans to be mixed, where they are not as good as one. */
const mix = computed(() => {
  const mixed = answer.value?.kept?.mixed
  return mixed && mixed[1].risk - mixed[0].risk >= TELLING_APART ? mixed : null
})
const sayPlan = ({ worth, risk }: PlanOutcome) =>
  t('runs.riskEndBehindOrCaughtWorth', { risk: share(risk), worth: finer(worth) })

function setLimit(event: Event) {
  const text = valueOf(event).replace(',', '.').trim()
  const per = Number(text)
  if (text && !(per >= 0 && per <= 100)) return void charts.tell(t('runs.sayHowManyOfAHundred'))
  limit.value = text ? per / 100 : null
}
</script>

<template>
  <section class="panel" :aria-label="t('runs.neverRiskMoreThan')">
    <h2>{{ t('runs.neverRiskMoreThan') }}</h2>
    <p>
      <SteadyInput
        :value="limit === null ? '' : limit * 100"
        :aria-label="t('runs.ofAHundredExchangesEndingBehind')"
        @change="setLimit"
      />
      {{ t('runs.ofAHundredExchangesOfEnding') }}
      <span v-if="progress !== null" role="status" class="muted">{{
        t('runs.searchingProgress', { progress: Math.round(progress * 100) })
      }}</span>
    </p>
    <template v-if="answer && progress === null">
      <p v-if="answer.isKeptAlready" class="says">
        {{ t('runs.thePlanKeepsThatAlreadyRisk', { risk: share(answer.now.risk) }) }}
      </p>
      <p v-else-if="!answer.kept" class="says">
        {{
          t('runs.noPlanKeepsThatTheSafest', {
            risk: share(answer.least.risk),
            worth: finer(answer.least.worth),
            worth2: finer(answer.now.worth),
          })
        }}
      </p>
      <template v-else>
        <p class="says">
          {{
            t('runs.itCanBeKeptRiskOf', {
              risk: share(answer.kept.outcome.risk),
              risk2: share(answer.now.risk),
              finish: share(answer.kept.outcome.finish),
              finish2: share(answer.now.finish),
              worth: finer(answer.kept.outcome.worth),
              worth2: finer(answer.now.worth),
            })
          }}
        </p>
        <p v-if="mix" class="says">
          {{
            t('runs.noSinglePlanDoesJustThat', {
              mix: sayPlan(mix[0]),
              mix2: Math.round(mix[2] * 100),
              mix3: sayPlan(mix[1]),
            })
          }}
        </p>
        <h3>{{ mix ? t('runs.whatTheSaferOneDoesMore') : t('runs.whatItDoesMoreAndLess') }}</h3>
        <ul>
          <li v-for="one in answer.differs.slice(0, FEW)" :key="`${one.move} ${one.answer}`">
            {{ sayChangedUse(present(charts.chart), one) }}
          </li>
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped src="./panel.css"></style>

<style scoped>
.el-input {
  width: 64px;
  min-height: var(--control);
}
</style>
