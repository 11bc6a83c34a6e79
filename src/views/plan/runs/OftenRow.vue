<script setup lang="ts">
import { valueOf } from '../../../components/events'

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
      <span class="label">{{ number > 1 ? 'and they' : 'they' }}</span>
      <el-select-v2
        :model-value="often.met"
        :options="[...options]"
        clearable
        filterable
        default-first-option
        placeholder="do what they usually do"
        :aria-label="number > 1 ? 'What they use besides' : 'What they use'"
        @update:model-value="(met: string) => (often = { ...often, met })"
      />
    </label>
    <label>
      <span class="label">how often</span>
      <select
        :value="often.times"
        class="field"
        :aria-label="`How often they use it (${number})`"
        :disabled="!often.met"
        @change="often = { ...often, times: Number(valueOf($event)) }"
      >
        <option :value="Infinity">always</option>
        <option :value="2">twice as often</option>
        <option :value="0">never</option>
      </select>
    </label>
  </div>
</template>

<style scoped src="./suppose.css"></style>
