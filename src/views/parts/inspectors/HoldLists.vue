<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import PickList from '../../../components/PickList.vue'
import { named } from '../../../components/options'
import { computed } from 'vue'
import { holder } from '../../../core/chart/hold'
import { lookUp } from '../../../core/chart/lookUp'
import type { HoldField } from './holdFields'
import { useWorksheet } from './sheet'
import { t } from '../../../words/inspector'

/** What a move or a reaction does with holds; nothing of it where the chart has no holds. */
const props = defineProps<{
  record: { [Field in HoldField['field']]?: readonly string[] }
  fields: readonly HoldField[]
}>()
const emit = defineEmits<{ change: [field: HoldField['field'], ids: string[]] }>()
const { chart } = useWorksheet()

const lists = computed(() =>
  props.fields.flatMap(({ field, of, says }) => {
    const ids = props.record[field] ?? []
    const known = (chart.value.holds ?? []).filter((hold) => holder(hold) === of)
    const others = known.filter(({ id }) => !ids.includes(id))
    return known.length ? [{ field, says, others, on: ids.flatMap((id) => lookUp(chart.value.holds, id) ?? []) }] : []
  }),
)
const said = computed(() =>
  lists.value
    .filter(({ on }) => on.length)
    .map(({ says, on }) => `${says} ${on.map(({ name }) => name).join(', ')}`)
    .join('; '),
)

const add = (field: HoldField['field'], id: string) => emit('change', field, [...(props.record[field] ?? []), id])

function remove(field: HoldField['field'], id: string) {
  emit(
    'change',
    field,
    (props.record[field] ?? []).filter((other) => other !== id),
  )
}
</script>

<template>
  <details v-if="lists.length" class="across">
    <summary class="label">
      {{ t('inspector.holds') }} <span>{{ said || t('common.none') }}</span>
    </summary>
    <div v-for="{ field, says, on, others } in lists" :key="field" class="list">
      <span class="small muted">{{ says }}</span>
      <span v-for="{ id, name } in on" :key="id" class="hold">
        {{ name }}
        <IconButton :icon="Close" :name="t('inspector.noLongerSaysName', { says, name })" @click="remove(field, id)" />
      </span>
      <PickList
        :aria-label="t('inspector.aHoldThatItSays', { says })"
        :placeholder="t('common.hold')"
        :options="named(others)"
        @change="(id) => add(field, id)"
      />
    </div>
  </details>
</template>

<style scoped>
summary span {
  color: var(--ink);
}

.list {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-8);
  align-items: center;
  padding: var(--space-4) 0;
}

.list > :first-child {
  flex: 0 0 100%;
}

.hold {
  padding: 0 var(--space-8);
  border-radius: var(--corner-panel);
  background: var(--ours-soft);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}

.el-select {
  width: 120px;
}
</style>
