<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../../../words/runs'

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
      <span class="label">{{ number > 1 ? t('runs.andOfTenTries') : t('runs.ofTenTries') }}</span>
      <el-select-v2
        :model-value="tries.figure"
        :options="[...options]"
        clearable
        filterable
        default-first-option
        :placeholder="t('runs.asItIs')"
        :aria-label="number > 1 ? t('runs.whichOtherFigureOfTheTries') : t('runs.whichFigureOfTheTries')"
        @update:model-value="pick"
      />
    </label>
    <label>
      <span class="label">{{
        guess
          ? t('runs.ofTenInsteadOfShare', { ofTen: tries.ofTen, share: Math.round(guess.share * 100) / 10 })
          : t('runs.howMany')
      }}</span>
      <el-slider
        :model-value="tries.ofTen"
        :max="10"
        :step="0.5"
        :show-tooltip="false"
        :disabled="!guess"
        :aria-label="t('runs.howManyOfTenTriesNumber', { number })"
        @input="(ofTen: number) => (tries = { ...tries, ofTen })"
      />
    </label>
  </div>
</template>

<style scoped src="./suppose.css"></style>
