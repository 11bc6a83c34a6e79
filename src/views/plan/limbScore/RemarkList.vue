<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { present } from '../../../core/sure'
import { computed, nextTick, ref } from 'vue'
import { intend } from '../../../core/chart/edits/runs'
import type { Remark } from '../../../core/limbScore/remark'
import { useCharts } from '../../../stores/charts'
import { useScore } from './score'
import { t } from '../../../words/score'

/** What the check says of the run, with the fix; what is meant so, with the coach's reason, stays quiet. */
const { run, remarks, beat } = useScore()
const charts = useCharts()
const asking = ref<string | null>(null)
const reason = ref('')
const field = ref<{ focus: () => void }[]>()

const reasons = computed(() => new Map((run.value?.intended ?? []).map((one) => [one.remark, one.reason])))
const loud = computed(() => remarks.value.filter(({ key }) => !reasons.value.has(key)))
const quiet = computed(() => remarks.value.filter(({ key }) => reasons.value.has(key)))

async function ask({ key }: Remark) {
  asking.value = key
  reason.value = ''
  await nextTick()
  field.value?.[0]?.focus()
}

function mean({ key }: Remark, why: string) {
  asking.value = null
  if (!why.trim() && !reasons.value.has(key)) return
  const { id, name } = present(run.value)
  charts.edit(t('score.aRemarkOnName', { name }), (draft) => intend(draft, id, key, why))
}
</script>

<template>
  <section class="panel remarks" :aria-label="t('score.theCheckOfThisRun')">
    <h2>
      {{ t('score.theCheck') }}
      <span>{{
        loud.length
          ? t('common.nToLookAt', { n: loud.length })
          : remarks.length
            ? t('score.theRestIsMeantSo')
            : t('score.nothingStandsAgainstIt')
      }}</span>
    </h2>
    <ul v-if="loud.length">
      <li v-for="one in loud" :key="one.key">
        <RowButton class="step" :data-tip="t('score.showStepStep', { step: one.step })" @click="beat = one.step">
          {{ t('score.stepStep', { step: one.step }) }}
        </RowButton>
        <div>
          <p>{{ one.says }}</p>
          <p class="muted small">{{ one.fix }}</p>
        </div>
        <el-input
          v-if="asking === one.key"
          ref="field"
          v-model="reason"
          :aria-label="t('score.whyItIsMeantSo')"
          :placeholder="t('score.whyItIsMeantSo2')"
          maxlength="200"
          @keydown.enter="mean(one, reason)"
          @keydown.escape="asking = null"
          @keydown.stop
        />
        <el-button v-else text @click="ask(one)">{{ t('score.meantSo') }}</el-button>
      </li>
    </ul>
    <details v-if="quiet.length">
      <summary>{{ t('score.nMeantSo', { n: quiet.length }) }}</summary>
      <ul>
        <li v-for="one in quiet" :key="one.key">
          <span class="step">{{ t('score.stepStep', { step: one.step }) }}</span>
          <div>
            <p class="muted">{{ one.says }}</p>
            <p class="small">{{ reasons.get(one.key) }}</p>
          </div>
          <el-button text @click="mean(one, '')">{{ t('score.lookAgain') }}</el-button>
        </li>
      </ul>
    </details>
    <p v-if="!remarks.length" class="muted small">
      {{ t('score.limbsWithOneJobEachNeeds') }}
    </p>
  </section>
</template>

<style scoped>
.step {
  flex: none !important;
  width: 64px;
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  color: var(--leak);
}

li > div {
  flex: 1;
}

details .step {
  color: var(--muted);
}

.field {
  width: 260px;
}
</style>

<style scoped src="../holds/holdsPanel.css"></style>
