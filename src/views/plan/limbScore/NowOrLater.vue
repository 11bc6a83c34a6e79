<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { changeText, finer } from '../../../core/say/figureText'
import { nowOrLater } from '../../../core/limbScore/nowOrLater'
import { leftWords } from '../../../core/holds/limbWords'
import { useTrials } from '../../../stores/trials'
import { useScore } from './score'

/** Whether the plan takes the run's way or tries the finish at once, against someone who reads us more or less. */
const { chart, run } = useScore()
const SHARPNESS = [0, 0.5, 0.9]
/** Closer than this is too close to call from guessed tries. */
const CLOSE = 0.02

const asked = computed(() => (run.value ? nowOrLater(chart.value, run.value) : null))
const worths = useTrials(
  () => {
    const trials = SHARPNESS.map((sharpness) => ({
      key: String(sharpness),
      chart: chart.value,
      instead: { sharpness },
    }))
    return run.value && asked.value ? { chart: chart.value, position: run.value.start, trials } : null
  },
  () => `${run.value?.start} ${asked.value?.first.id}`,
)

const rows = computed(() =>
  SHARPNESS.map((sharpness) => {
    const found = worths.get(String(sharpness))
    const [first, now] = [found?.moves[present(asked.value).first.id], found?.moves[present(asked.value).now.id]]
    if (typeof first !== 'number' || typeof now !== 'number') return { sharpness, first: null, now: null, says: '' }
    const gap = first - now
    const says =
      Math.abs(gap) < CLOSE
        ? `too close to call (${changeText(gap)})`
        : gap > 0
          ? `${present(asked.value).first.name} first (${changeText(gap)})`
          : `${present(asked.value).now.name} at once (${changeText(-gap)})`
    return { sharpness, first, now, says }
  }),
)
const tries = (n: number) => (Number.isInteger(n) ? String(n) : n.toFixed(1))
</script>

<template>
  <section v-if="asked" class="panel" aria-label="Now or later">
    <h2>Now or later <span>what the plan prefers from the start of this run</span></h2>
    <table>
      <thead>
        <tr>
          <th>they see it coming</th>
          <th>{{ asked.now.name }}, at once</th>
          <th>{{ asked.first.name }}, first</th>
          <th>the plan</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.sharpness">
          <td>{{ Math.round(row.sharpness * 100) }} %</td>
          <td>{{ row.now === null ? '' : finer(row.now) }}</td>
          <td>{{ row.first === null ? '' : finer(row.first) }}</td>
          <td>
            <b>{{ row.says }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="asked.met.length" class="small">
      At once they have
      <template v-for="(one, i) in asked.met" :key="one.name"
        ><template v-if="i">; </template><b>{{ one.name }}</b> ({{ tries(one.ofTen) }} of ten tries; along this run at
        the least {{ leftWords(one.left) }})</template
      >.
    </p>
    <p v-if="asked.bait" class="small">
      {{ asked.now.name }} is the bait too: to <b>{{ asked.bait.name }}</b> the answer is {{ asked.first.name }}, which
      then lands {{ tries(asked.bait.lands) }} of ten instead of {{ tries(asked.bait.cold) }}.
    </p>
  </section>
</template>

<style scoped src="../holds/holdsPanel.css"></style>

<style scoped>
p {
  padding-top: 6px;
}
</style>
