<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { changeText, finer } from '../../../core/say/figureText'
import { nowOrLater } from '../../../core/limbScore/nowOrLater'
import { leftWords } from '../../../core/holds/limbWords'
import { useTrials } from '../../../stores/trials'
import { useScore } from './score'
import { t } from '../../../words/score'

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
        ? t('score.tooCloseToCallGap', { gap: changeText(gap) })
        : gap > 0
          ? t('score.firstFirstGap', { first: present(asked.value).first.name, gap: changeText(gap) })
          : t('score.nowAtOnceGap', { now: present(asked.value).now.name, gap: changeText(-gap) })
    return { sharpness, first, now, says }
  }),
)
const tries = (n: number) => (Number.isInteger(n) ? String(n) : n.toFixed(1))
</script>

<template>
  <section v-if="asked" class="panel" :aria-label="t('score.nowOrLater')">
    <h2>
      {{ t('score.nowOrLater') }} <span>{{ t('score.whatThePlanPrefersFromThe') }}</span>
    </h2>
    <table>
      <thead>
        <tr>
          <th>{{ t('score.theySeeItComing') }}</th>
          <th>{{ t('score.nowAtOnce', { now: asked.now.name }) }}</th>
          <th>{{ t('score.firstFirst', { first: asked.first.name }) }}</th>
          <th>{{ t('score.thePlan') }}</th>
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
      {{ t('score.atOnceTheyHave') }}
      <template v-for="(one, i) in asked.met" :key="one.name"
        ><template v-if="i">; </template><b>{{ one.name }}</b>
        {{ t('score.ofTenOfTenTriesAlong', { ofTen: tries(one.ofTen), left: leftWords(one.left) }) }}</template
      >.
    </p>
    <p v-if="asked.bait" class="small">
      <I18nT keypath="score.isTheBaitToo" scope="global"
        ><template #now>{{ asked.now.name }}</template
        ><template #reaction
          ><b>{{ asked.bait.name }}</b></template
        ><template #first>{{ asked.first.name }}</template
        ><template #lands>{{ tries(asked.bait.lands) }}</template
        ><template #cold>{{ tries(asked.bait.cold) }}</template></I18nT
      >
    </p>
  </section>
</template>

<style scoped src="../holds/holdsPanel.css"></style>

<style scoped>
p {
  padding-top: var(--space-8);
}
</style>
