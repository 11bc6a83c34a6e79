<script setup lang="ts">
import { toPositionId } from '../../../core/chart/ids'
import { valueOf } from '../../../components/events'
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

/** Which run is looked at; a new one begins in a position, and as the best plan goes on from there. */
const emit = defineEmits<{ print: [] }>()
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
  charts.edit(`New run from ${value}`, (draft) => void (made = addRun(draft, `From ${value}`, start, steps)))
  open(made)
}

function rename(name: string) {
  const { id } = present(run.value)
  charts.edit(`Name of ${name}`, (draft) => setField(draft, 'runs', id, 'name', name))
}

function remove() {
  const { id, name } = present(run.value)
  if (removing({ id, name: `the run ${name}` }, (draft) => removeRun(draft, id))) open(undefined)
}
</script>

<template>
  <header>
    <div v-if="run" class="which">
      <h1><InlineText :value="run.name" label="Name of the run" required @change="rename" /></h1>
      <p class="muted">
        from <RouterLink :to="`/holds/${run.start}`">{{ start?.name }}</RouterLink>
        <template v-if="typeof worth === 'number'">, worth {{ finer(worth) }}</template>
      </p>
    </div>
    <div v-else class="which">
      <h1>A run, limb by limb</h1>
      <p class="muted">Begin one in a position: it goes on as the best plan does, and you change it from there.</p>
    </div>
    <div class="tools">
      <label v-if="(chart.runs?.length ?? 0) > 1">
        <span class="label">Run</span>
        <select class="field" aria-label="Which run" :value="run?.id" @change="open(valueOf($event))">
          <option v-for="{ id, name } in chart.runs" :key="id" :value="id">{{ name }}</option>
        </select>
      </label>
      <ComboList
        v-if="isBeginning"
        floating
        label="From which position?"
        :find="find"
        @pick="begin"
        @cancel="isBeginning = false"
      />
      <button v-else type="button" class="button" @click="isBeginning = true">+ run</button>
      <button v-if="run" type="button" class="button quiet" @click="emit('print')">Print</button>
      <button v-if="run" type="button" class="button quiet" @click="remove">Remove</button>
    </div>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: start;
  gap: 8px 20px;
}

.which {
  min-width: 0;
}

.tools {
  display: flex;
  gap: 8px;
  align-items: end;
}

.tools .field {
  width: auto;
  max-width: 300px;
}

.tools label {
  display: grid;
  gap: 2px;
}
</style>
