<script setup lang="ts">
import { Minus, Plus } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { sure, present } from '../../../core/sure'
import { computed, ref } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { continueRun } from '../../../core/chart/edits/runs'
import { nextSteps } from '../../../core/limbScore/nextSteps'
import { useCharts } from '../../../stores/charts'
import { useScore } from './score'
import { t } from '../../../words/score'

/** What happens next in the run: what we try and what comes of it, what they do, what we answer; or one step less. */
const { chart, run, played } = useScore()
const charts = useCharts()
const isAdding = ref(false)
const choices = computed(() => nextSteps(chart.value, played.value.beats.at(-1), present(run.value)))

function find(text: string): Choice[] {
  const typed = text.trim().toLowerCase()
  return choices.value
    .map(({ says, hint }, i): Choice => ({ key: String(i), value: says, id: String(i), hint }))
    .filter(({ value }) => value.toLowerCase().includes(typed))
}

function pick({ id, value }: Choice) {
  isAdding.value = false
  const { step } = sure(choices.value[Number(id)])
  const { id: of, name, steps } = present(run.value)
  const kept = steps.slice(0, played.value.beats.length - 1)
  charts.edit(t('score.valueInName', { value, name }), (draft) => continueRun(draft, of, kept, step))
}

function shorten() {
  const { id, name, steps } = present(run.value)
  charts.edit(t('score.aStepLessInName', { name }), (draft) => continueRun(draft, id, steps.slice(0, -1)))
}
</script>

<template>
  <div class="next">
    <ComboList
      v-if="isAdding"
      floating
      class="list"
      :label="t('score.whatHappensNext')"
      :find="find"
      @pick="pick"
      @cancel="isAdding = false"
    />
    <template v-else>
      <IconButton
        v-if="choices.length"
        :icon="Plus"
        :name="t('score.addAStep')"
        :tip="t('score.whatHappensNext2')"
        @click="isAdding = true"
      />
      <IconButton v-if="run!.steps.length" :icon="Minus" :name="t('score.takeTheLastStepAway')" @click="shorten" />
    </template>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  justify-items: center;
}

.list {
  position: relative;
  left: -220px;
  width: 260px;
}
</style>
