<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { named } from '../../../components/options'
import { toPositionId } from '../../../core/chart/ids'
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import InlineText from '../../../components/InlineText.vue'
import { finer } from '../../../core/say/figureText'
import { setField } from '../../../core/chart/edits/fields'
import { addRun, removeRun } from '../../../core/chart/edits/runs'
import { lookUp } from '../../../core/chart/lookUp'
import { bestRunFrom } from '../../../core/insight/bestRun'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useScore } from './score'
import { useRemoving } from '../../parts/removing'
import PrintButton from '../../parts/print/PrintButton.vue'
import { t } from '../../../words/score'

/** Which run is looked at; a new one begins in a position, and as the best plan goes on from there. */
const { chart, run, worths, open } = useScore()
const charts = useCharts()
const removing = useRemoving()
const store = useFigures()
const isBeginning = ref(false)
const start = computed(() => lookUp(chart.value.positions, run.value?.start))
const worth = computed(() => worths.value?.[0])

const find = (text: string): Choice[] =>
  chart.value.positions
    .filter(({ name }) => name.toLowerCase().includes(text.trim().toLowerCase()))
    .slice(0, 10)
    .map(({ id, name, family }) => ({ key: id, value: name, id, hint: family }))

function begin({ id, value }: Choice) {
  isBeginning.value = false
  if (id === null) return
  const start = toPositionId(id)
  let made = ''
  const steps = store.figures ? bestRunFrom(chart.value, store.figures, start) : []
  charts.edit(
    t('score.newRunFromValue', { value }),
    (draft) => void (made = addRun(draft, t('common.fromValue', { value }), start, steps)),
  )
  open(made)
}

function rename(name: string) {
  const { id } = present(run.value)
  charts.edit(t('score.nameOfName', { name }), (draft) => setField(draft, 'runs', id, 'name', name))
}

function remove() {
  const { id, name } = present(run.value)
  if (removing({ id, name: t('score.theRunName', { name }) }, (draft) => removeRun(draft, id))) open(undefined)
}
</script>

<template>
  <header>
    <div v-if="run" class="which">
      <h1><InlineText :value="run.name" :label="t('score.nameOfTheRun')" required @change="rename" /></h1>
      <p class="muted">
        {{ t('score.from') }} <RouterLink :to="`/holds/${run.start}`">{{ start?.name }}</RouterLink>
        <template v-if="typeof worth === 'number'">{{ t('common.worthWorth', { worth: finer(worth) }) }}</template>
      </p>
    </div>
    <div v-else class="which">
      <h1>{{ t('common.aRunLimbByLimb') }}</h1>
      <p class="muted">{{ t('score.beginOneInAPositionIt') }}</p>
    </div>
    <div class="tools off-paper">
      <label v-if="(chart.runs?.length ?? 0) > 1">
        <span class="label">{{ t('score.run') }}</span>
        <PickList
          :aria-label="t('score.whichRun')"
          :value="run?.id"
          :options="named(chart.runs ?? [])"
          @change="(picked) => open(picked)"
        />
      </label>
      <ComboList
        v-if="isBeginning"
        floating
        :label="t('score.fromWhichPosition')"
        :find="find"
        @pick="begin"
        @cancel="isBeginning = false"
      />
      <el-button v-else @click="isBeginning = true">{{ t('score.run2') }}</el-button>
      <PrintButton v-if="run" />
      <el-button v-if="run" text @click="remove">{{ t('common.remove') }}</el-button>
    </div>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: start;
  gap: var(--space-8) var(--space-24);
}

.which {
  min-width: 0;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: end;
}

.tools .el-select {
  width: min(280px, 84vw);
}

.tools label {
  display: grid;
  gap: var(--space-4);
}
</style>
