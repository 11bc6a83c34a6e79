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
const sayPlan = ({ worth, risk }: PlanOutcome) => `${share(risk)} end behind or caught, worth ${finer(worth)}`

function setLimit(event: Event) {
  const text = valueOf(event).replace(',', '.').trim()
  const per = Number(text)
  if (text && !(per >= 0 && per <= 100)) return void charts.tell('Say how many of a hundred exchanges, from 0 to 100.')
  limit.value = text ? per / 100 : null
}
</script>

<template>
  <section class="panel" aria-label="Never risk more than">
    <h2>Never risk more than</h2>
    <p>
      <SteadyInput
        class="field"
        :value="limit === null ? '' : limit * 100"
        aria-label="Of a hundred exchanges, ending behind"
        @change="setLimit"
      />
      of a hundred exchanges of ending behind or caught.
      <span v-if="progress !== null" role="status" class="muted">Searching, {{ Math.round(progress * 100) }} % …</span>
    </p>
    <template v-if="answer && progress === null">
      <p v-if="answer.isKeptAlready" class="says">
        The plan keeps that already: {{ share(answer.now.risk) }} of a hundred.
      </p>
      <p v-else-if="!answer.kept" class="says">
        No plan keeps that: the safest still ends behind or caught in {{ share(answer.least.risk) }} of a hundred, and
        is worth {{ finer(answer.least.worth) }} instead of {{ finer(answer.now.worth) }}. Chart a safer answer where
        you end behind.
      </p>
      <template v-else>
        <p class="says">
          It can be kept: {{ share(answer.kept.outcome.risk) }} of a hundred end behind or caught instead of
          {{ share(answer.now.risk) }}, {{ share(answer.kept.outcome.finish) }} are finished instead of
          {{ share(answer.now.finish) }}, and the start is worth {{ finer(answer.kept.outcome.worth) }} instead of
          {{ finer(answer.now.worth) }}.
        </p>
        <p v-if="mix" class="says">
          No single plan does just that: follow the safer one ({{ sayPlan(mix[0]) }}) in
          {{ Math.round(mix[2] * 100) }} of a hundred exchanges, the bolder one ({{ sayPlan(mix[1]) }}) in the others.
        </p>
        <h3>{{ mix ? 'What the safer one does more and less' : 'What it does more and less' }}</h3>
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
.field {
  width: 64px;
  min-height: 30px;
}
</style>
