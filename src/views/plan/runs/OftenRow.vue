<script setup lang="ts">
import { valueOf } from '../../../components/events'
import { t } from '../../../words'

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
      <select
        :value="often.times"
        class="field"
        :aria-label="t('runs.howOftenTheyUseItNumber', { number })"
        :disabled="!often.met"
        @change="often = { ...often, times: Number(valueOf($event)) }"
      >
        <option :value="Infinity">{{ t('runs.always') }}</option>
        <option :value="2">{{ t('runs.twiceAsOften') }}</option>
        <option :value="0">{{ t('runs.never') }}</option>
      </select>
    </label>
  </div>
</template>

<style scoped src="./suppose.css"></style>
