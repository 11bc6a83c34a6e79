<script setup lang="ts">
import { computed, ref } from 'vue'
import { valueOf } from '../../components/events'
import PickList from '../../components/PickList.vue'
import { named } from '../../components/options'
import SteadyInput from '../../components/SteadyInput.vue'
import { toPositionId } from '../../core/chart/ids'
import { MAX_SCORE } from '../../core/game/scenario'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import { t } from '../../words/match'

/** What a match that is to be won has besides its exchange: the score now, and where it begins again. */
const charts = useCharts()
const store = useFigures()
const scenario = computed(() => present(store.scenario))
const restarts = computed(() => [
  { value: '', label: t('match.onTheFeet') },
  ...named<string>(present(charts.chart).positions),
])
const isWrong = ref(false)

function setScore(event: Event) {
  const text = valueOf(event).replace('−', '-').trim()
  const score = Number(text)
  isWrong.value = !(text !== '' && Number.isInteger(score) && Math.abs(score) <= MAX_SCORE)
  if (!isWrong.value) store.setScenario({ score })
}
</script>

<template>
  <label class="beside">
    <span class="label">{{ t('match.score') }}</span>
    <SteadyInput
      :value="String(scenario.score).replace('-', '−')"
      :aria-label="t('match.score')"
      :data-tip="t('match.scoreHelp')"
      @change="setScore"
    />
    <em v-if="isWrong" class="wrong" role="alert">{{ t('match.scoreRefused') }}</em>
  </label>
  <label>
    <span class="label">{{ t('match.beginsAgainIn') }}</span>
    <PickList
      :value="scenario.restart ?? ''"
      :options="restarts"
      :aria-label="t('match.beginsAgainIn')"
      @change="(id: string) => store.setScenario({ restart: id ? toPositionId(id) : null })"
    />
  </label>
</template>

<style scoped src="./scenarioFields.css"></style>
