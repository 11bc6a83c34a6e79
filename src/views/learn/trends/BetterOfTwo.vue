<script setup lang="ts">
import { computed } from 'vue'
import { judgeTrial, removeTrial } from '../../../core/club/edits/trials'
import type { Trial } from '../../../core/club/trial'
import { trialNow } from '../../../core/learn/trials'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { useLog } from '../../parts/club/log'
import NewTrial from './NewTrial.vue'
import { judged, standing } from './trialText'
import { triedName } from './tried'
import { t } from '../../../words/learn'

/** Two ways of one step, tried by the pairs in turn, and judged once on a day that was set before. */
const clubs = useClubs()
const { log } = useLog()
const trials = computed(() =>
  (clubs.club?.trials ?? []).map((trial) => {
    const { chart, tries, now, halfLife } = log.value ?? {}
    const isHere = chart?.id === trial.chart && tries && now !== undefined
    const stands = isHere ? trialNow(chart, trial, { tries, now, halfLife: halfLife ?? 0 }) : null
    const names = { first: triedName(log.value?.chart, trial.first), second: triedName(log.value?.chart, trial.second) }
    const mayJudge = !trial.verdict && stands !== null && now !== undefined && now >= trial.judgeOn
    return { trial, stands, names, mayJudge }
  }),
)
function judge({ id }: Trial, { compared }: NonNullable<ReturnType<typeof trialNow>>) {
  const verdict = { when: log.value?.now ?? '', chance: compared.chance }
  const better = compared.better === null ? {} : { better: compared.better }
  clubs.edit(t('learn.judgeIt'), (draft) => judgeTrial(draft, id, { ...verdict, ...better }))
}
const remove = ({ id }: Trial) => clubs.edit(t('learn.removeTrial'), (draft) => removeTrial(draft, id))
</script>

<template>
  <h1>{{ t('learn.betterOfTwo') }}</h1>
  <article v-for="{ trial, stands, names, mayJudge } in trials" :key="trial.id" class="panel">
    <h2>{{ trial.title }}</h2>
    <p>
      {{ t('learn.firstOrSecond', { first: names.first, second: names.second }) }}
      <span v-if="stands" class="muted">{{
        t('learn.triesOfEach', { first: stands.tries.first, second: stands.tries.second })
      }}</span>
    </p>
    <p v-if="trial.verdict" class="lead">
      {{ judged(trial.verdict, names) }}
      <span class="muted">{{ t('learn.judgedOn', { day: dayText(trial.verdict.when) }) }}</span>
    </p>
    <template v-else>
      <p>{{ t('learn.willBeJudgedOn', { day: dayText(trial.judgeOn) }) }}</p>
      <p v-if="stands">{{ standing(stands) }}</p>
      <p v-else class="muted">{{ t('learn.trialOfAnotherChart') }}</p>
    </template>
    <p class="row off-paper">
      <el-button v-if="mayJudge && stands" type="primary" @click="judge(trial, stands)">{{
        t('learn.judgeIt')
      }}</el-button>
      <el-button text @click="remove(trial)">{{ t('learn.removeTrial') }}</el-button>
    </p>
  </article>
  <NewTrial v-if="log" class="off-paper" :chart="log.chart" :now="log.now" />
  <p class="small muted">{{ t('learn.howTrials') }}</p>
</template>

<style scoped>
article {
  display: grid;
  gap: var(--space-8);
  max-width: 760px;
  padding: var(--space-16);
}

.lead {
  font-size: var(--type-lead);
}

.row {
  display: flex;
  gap: var(--space-8);
}
</style>
