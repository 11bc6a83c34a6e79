<script setup lang="ts">
import { produce } from 'immer'
import { computed, ref } from 'vue'
import { emptyChart, type Chart } from '../../../core/chart/chart'
import { takeIncoming } from '../../../core/files/edits/takeIncoming'
import type { TableTaken } from '../../../core/files/edits/takeTable'
import type { Incoming } from '../../../core/files/in/incoming'
import { useCharts } from '../../../stores/charts'
import CellErrors from './CellErrors.vue'
import { t } from '../../../words/files'

/** What a file of rows, lines or a graph would bring, and into which chart: nothing is written before it is taken. */
const props = defineProps<{ file: string; incoming: Incoming }>()
const emit = defineEmits<{ done: [] }>()
const charts = useCharts()
const isNew = ref(charts.chart === null)
const title = computed(() => props.file.replace(/\.[^.]*$/, '') || props.file)
const ways = computed(() => [
  { value: false, label: t('files.intoOpen', { chart: charts.chart?.title ?? '' }), disabled: !charts.chart },
  { value: true, label: t('files.intoNew', { title: title.value }), disabled: false },
])
/** What would come of it. */
const would = computed((): { took: TableTaken; chart: Chart } => {
  const base = isNew.value || !charts.keptChart ? emptyChart('new', title.value) : charts.keptChart
  let took: TableTaken = { ok: false, errors: [] }
  const chart = produce(base, (draft) => void (took = takeIncoming(draft as Chart, props.incoming)))
  return { took, chart }
})
const lines = computed(() => {
  const { took } = would.value
  if (!took.ok) return []
  const { added, changed, same, places } = took.value
  const { incoming } = props
  const ignored = incoming.of === 'table' ? incoming.table.ignored : []
  const rest = incoming.of === 'graph' ? incoming.graph.rest : []
  return [
    ...(incoming.of === 'table'
      ? [t('files.tableOf', { table: incoming.table.table }, incoming.table.rows.length)]
      : []),
    t('files.wouldCome', { added, changed, same }),
    ...(places.length ? [t('files.newPlaces', { places: places.join(', ') })] : []),
    ...(ignored.length ? [t('files.ignoredColumns', { columns: ignored.join(', ') })] : []),
    ...(rest.length ? [t('files.cannotBeTold', { rest: shortened(rest) }, rest.length)] : []),
  ]
})
const shortened = (all: readonly string[]) => [...all.slice(0, 5), ...(all.length > 5 ? ['…'] : [])].join(', ')
const columns = computed(() => (props.incoming.of === 'table' ? props.incoming.table.matched : []))

async function take() {
  if (isNew.value) await charts.create(title.value)
  charts.editKept(t('files.takeIn', { file: props.file }), (draft) => void takeIncoming(draft, props.incoming))
  charts.tell(t('files.takenIn', { file: props.file }), 'info', 'undo')
  emit('done')
}
</script>

<template>
  <div class="take">
    <el-radio-group v-model="isNew" :aria-label="t('files.into')">
      <el-radio v-for="{ value, label, disabled } in ways" :key="label" :value="value" :disabled="disabled">{{
        label
      }}</el-radio>
    </el-radio-group>
    <template v-if="would.took.ok">
      <p v-for="line in lines" :key="line">{{ line }}</p>
      <p v-if="columns.length" class="small muted">
        <span v-for="{ column, as } in columns" :key="column" class="column">{{
          column === as ? column : t('files.columnAs', { column, as })
        }}</span>
      </p>
      <p class="row">
        <el-button type="primary" @click="take">{{ t('files.takeThem') }}</el-button>
        <el-button text @click="emit('done')">{{ t('files.doNotImport') }}</el-button>
      </p>
    </template>
    <CellErrors v-else :errors="would.took.errors" />
  </div>
</template>

<style scoped>
.take {
  display: grid;
  gap: var(--space-8);
}

.el-radio-group {
  gap: var(--space-4) var(--space-24);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}

.column {
  display: inline-block;
  margin-right: var(--space-12);
}
</style>
