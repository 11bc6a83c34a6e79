<script setup lang="ts">
import { targetOf } from './events'
import SteadyInput from './SteadyInput.vue'
import { t } from '../words'

/** Whole seconds, 1 to 600; anything else is refused and the field is as it was. `guessed`: nobody has set them. */
defineProps<{ value: number; guessed?: boolean }>()
const emit = defineEmits<{ change: [seconds: number]; refuse: [reason: string] }>()

function onChange(event: Event) {
  const input = targetOf(event, HTMLInputElement)
  const seconds = Number(input.value)
  if (Number.isInteger(seconds) && seconds >= 1 && seconds <= 600) return void emit('change', seconds)
  emit('refuse', t('marks.wholeSeconds1To600'))
}
</script>

<template>
  <label
    ><span class="label">{{ t('marks.takesSecondsGuessed', { guessed: guessed ? t('common.aGuess') : '' }) }}</span>
    <SteadyInput type="number" min="1" max="600" :value="value" @change="onChange" />
  </label>
</template>
