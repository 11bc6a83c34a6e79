<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { t } from '../../../words/runs'

/** What they use more or less often, as a supposition: which reaction where, and how often. */
export interface Often {
  met: string
  times: number
}

defineProps<{ options: readonly { value: string; label: string }[]; number: number }>()
const often = defineModel<Often>({ required: true })
</script>

<template>
  <div class="pair">
    <label class="wide">
      <span class="label">{{ number > 1 ? t('runs.andThey') : t('common.they2') }}</span>
      <el-select-v2
        :model-value="often.met"
        :options="[...options]"
        clearable
        filterable
        default-first-option
        :placeholder="t('runs.doWhatTheyUsuallyDo')"
        :aria-label="number > 1 ? t('runs.whatTheyUseBesides') : t('runs.whatTheyUse')"
        @update:model-value="(met: string) => (often = { ...often, met })"
      />
    </label>
    <label>
      <span class="label">{{ t('runs.howOften') }}</span>
      <PickList
        :value="often.times"
        :aria-label="t('runs.howOftenTheyUseItNumber', { number })"
        :disabled="!often.met"
        :options="[
          { value: Infinity, label: t('runs.always') },
          { value: 2, label: t('runs.twiceAsOften') },
          { value: 0, label: t('common.never') },
        ]"
        @change="(picked) => (often = { ...often, times: Number(picked) })"
      />
    </label>
  </div>
</template>

<style scoped src="./suppose.css"></style>
