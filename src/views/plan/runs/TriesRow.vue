<script setup lang="ts">
import { computed } from 'vue'
import { valueOf } from '../../../components/events'

/** A figure of the tries as a supposition: which one, and how many of ten go so. */
export interface Ofs {
  figure: string
  ofTen: number
}

const props = defineProps<{ options: readonly { value: string; label: string; share: number }[]; number: number }>()
const tries = defineModel<Ofs>({ required: true })
const guess = computed(() => props.options.find(({ value }) => value === tries.value.figure))
const shareOf = (figure: string) => props.options.find(({ value }) => value === figure)?.share ?? 0
const pick = (figure: string) => (tries.value = { figure, ofTen: Math.round(shareOf(figure) * 20) / 2 })
</script>

<template>
  <div class="pair">
    <label class="wide">
      <span class="label">{{ number > 1 ? 'and of ten tries' : 'of ten tries' }}</span>
      <el-select-v2
        :model-value="tries.figure"
        :options="[...options]"
        clearable
        filterable
        default-first-option
        placeholder="as it is"
        :aria-label="number > 1 ? 'Which other figure of the tries' : 'Which figure of the tries'"
        @update:model-value="pick"
      />
    </label>
    <label>
      <span class="label">{{
        guess ? `${tries.ofTen} instead of ${Math.round(guess.share * 100) / 10}` : 'how many'
      }}</span>
      <input
        :value="tries.ofTen"
        type="range"
        min="0"
        max="10"
        step="0.5"
        :disabled="!guess"
        :aria-label="`How many of ten tries (${number})`"
        @input="tries = { ...tries, ofTen: Number(valueOf($event)) }"
      />
    </label>
  </div>
</template>

<style scoped src="./suppose.css"></style>
