<script setup lang="ts">
import { computed, ref } from 'vue'
import WorkingOn from '../../../components/WorkingOn.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { valueOf } from '../../../components/events'
import { dayAfter } from '../../../core/club/days'
import { mondayOf } from '../../../core/learn/weeks'
import { signed } from '../../../core/say/figureText'
import { ofTen } from '../../../core/say/ofTen'
import { useAsking } from '../../../stores/asking'
import { dayText } from '../../parts/club/days'
import { useLog } from '../../parts/club/log'
import { triedName } from './tried'
import { t } from '../../../words/learn'

/** Which figures moved the worth most since a day: at first this week's Monday, or the last one with a try after it. */
const { log, asked } = useLog()
const chosen = ref('')
const since = computed(() => {
  if (chosen.value) return chosen.value
  const { now = '', tries = [] } = log.value ?? {}
  if (!now) return ''
  const monday = mondayOf(now)
  const last = tries.reduce((latest, { when }) => (when > latest && when <= now ? when : latest), '')
  return last && last < monday ? mondayOf(last) : monday
})
const { found, progress } = useAsking(() => {
  if (!asked.value || !since.value) return null
  const { chart, scenario, tries, now, halfLife } = asked.value
  const question = { of: 'learned' as const, scenario, log: { tries, now, halfLife, since: since.value } }
  return { question, chart }
})
/** So many have room. */
const MOST = 10
const rows = computed(() => (found.value ?? []).slice(0, MOST))
const earlier = () => (chosen.value = dayAfter(since.value, -7))
</script>

<template>
  <section :aria-label="t('learn.learnedSince')">
    <h2>{{ t('learn.learnedSinceDay', { day: since ? dayText(since) : '' }) }}</h2>
    <p class="row off-paper">
      <SteadyInput
        type="date"
        class="day"
        :value="since"
        :aria-label="t('learn.sinceWhen')"
        @change="(event) => (chosen = valueOf(event))"
      />
      <el-button @click="earlier">{{ t('learn.aWeekEarlier') }}</el-button>
    </p>
    <WorkingOn v-if="progress !== null" :progress="progress" />
    <table v-else-if="rows.length">
      <thead>
        <tr>
          <td></td>
          <th scope="col">{{ t('learn.tries') }}</th>
          <th scope="col">{{ t('learn.landsOfTen') }}</th>
          <th scope="col">{{ t('learn.start') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in rows" :key="`${one.move} ${one.reply}`">
          <th scope="row">{{ triedName(log?.chart, one) }}</th>
          <td>{{ one.tries }}</td>
          <td>{{ t('learn.fromTo', { from: ofTen(one.before), to: ofTen(one.after) }) }}</td>
          <td :class="{ worse: signed(one.worth).startsWith('−'), better: signed(one.worth).startsWith('+') }">
            {{ signed(one.worth) }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="muted">{{ t('learn.nothingLearned') }}</p>
    <p class="small muted">{{ t('learn.howLearned') }}</p>
  </section>
</template>

<style scoped src="./trends.css"></style>
<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
.row {
  display: flex;
  gap: var(--space-8);
}

.day {
  width: 170px;
}
</style>
