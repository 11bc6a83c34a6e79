<script setup lang="ts">
import { present } from '../../../core/sure'
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useCharts } from '../../../stores/charts'

/** A short list that ticks itself off, and can be put away. */
const charts = useCharts()
const isAway = useStorage('ataque-first-steps-away', false)
const steps = computed(() => {
  const chart = present(charts.chart)
  return [
    { text: 'Name a position', isDone: chart.positions.length > 0 },
    { text: 'Say a move: how many of ten land, what they do', isDone: chart.moves.length > 0 },
    { text: 'Answer one of their reactions', isDone: chart.answers.length > 0 },
    { text: 'Set the clock and how well they read us', isDone: chart.settings?.scenario !== undefined },
  ]
})
const isShown = computed(() => !isAway.value && steps.value.some(({ isDone }) => !isDone))
</script>

<template>
  <section v-if="isShown" class="panel steps" aria-label="First steps">
    <h2>First steps</h2>
    <ol>
      <li v-for="step in steps" :key="step.text" :class="{ done: step.isDone }">
        <span aria-hidden="true">{{ step.isDone ? '✓' : '·' }}</span> {{ step.text
        }}<span v-if="step.isDone" class="readers-only"> (done)</span>
      </li>
    </ol>
    <button type="button" class="button quiet" @click="isAway = true">Put this away</button>
  </section>
</template>

<style scoped>
.steps {
  padding: 14px 16px;
}

.done {
  color: var(--muted);
}

li span {
  display: inline-block;
  width: 1.2em;
}
</style>
