<script setup lang="ts">
import { valueOf } from '../../../components/events'
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import { share } from '../../../core/say/figureText'
import SteadyInput from '../../../components/SteadyInput.vue'
import { setEndBehind } from '../../../core/chart/edits/group'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'

/** Never risk more than so much of ending behind: what it costs, and the plan that keeps it. */
const charts = useCharts()
const figures = useFigures()
const limit = ref<number | null>(null)
const { answer, progress } = useQuestion(() =>
  limit.value === null ? null : { of: 'limit' as const, limit: limit.value },
)
const theirs = computed(() => present(figures.scenario).ends.theirs)

function setLimit(event: Event) {
  const text = valueOf(event).replace(',', '.').trim()
  const per = Number(text)
  if (text && !(per >= 0 && per <= 100)) return void charts.tell('Say how many of a hundred exchanges, from 0 to 100.')
  limit.value = text ? per / 100 : null
}
function plan(worth: number) {
  charts.edit('Never risk more', (draft) => setEndBehind(draft, worth))
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
        The plan keeps that already: {{ share(answer.behind.now) }} of a hundred.
      </p>
      <p v-else-if="answer.theirs === null" class="says">
        No plan keeps that: at the most careful it is {{ share(answer.behind.then) }} of a hundred instead of
        {{ share(answer.behind.now) }}. Chart a safer answer where you end behind.
      </p>
      <template v-else>
        <p class="says">
          The plan keeps it once ending behind counts {{ answer.theirs }} instead of {{ theirs }}: then
          {{ share(answer.behind.then) }} of a hundred end behind or caught instead of {{ share(answer.behind.now) }},
          and {{ share(answer.finish.then) }} are finished instead of {{ share(answer.finish.now) }}.
        </p>
        <button type="button" class="button primary" @click="plan(answer.theirs)">Plan so</button>
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
