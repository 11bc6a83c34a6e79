<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { ClubPerson } from '../../../core/club/person'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/learn'

/** The moves that somebody likes, of the open chart; those of other charts stay as they are. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ change: [likes: string[] | undefined] }>()
const charts = useCharts()
const options = computed(() => (charts.chart?.moves ?? []).map(({ id, name }) => ({ value: id, label: name })))
const likes = computed(() => props.person.likes ?? [])
const here = computed(() => likes.value.filter((id) => lookUp(charts.chart?.moves, id)))
function set(ids: string[]) {
  const elsewhere = likes.value.filter((id) => !here.value.includes(id))
  const all = [...elsewhere, ...ids]
  emit('change', all.length ? all : undefined)
}
</script>

<template>
  <label v-if="options.length">
    <span class="label">{{ t('learn.likesHelp') }}</span>
    <el-select-v2
      multiple
      filterable
      :model-value="here"
      :options="options"
      :placeholder="t('learn.likesNothing')"
      :aria-label="t('learn.likesHelp')"
      @update:model-value="set"
    />
  </label>
</template>

<style scoped>
label {
  display: grid;
  gap: var(--space-4);
}
</style>
