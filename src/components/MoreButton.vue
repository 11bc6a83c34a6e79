<script setup lang="ts">
import { t } from '../words'
/** Under a list that shows its first entries: shows all of them, or as many more as can be drawn at once. */
const props = defineProps<{ few: number; of: number }>()
const shown = defineModel<number>({ required: true })

const STEP = 100
const next = () => Math.min(props.of, shown.value + STEP)
</script>

<template>
  <button v-if="of > few && shown < of" type="button" class="button quiet" @click="shown = next()">
    {{ next() < of ? t('marks.stepMoreOfOf', { step: STEP, of }) : t('common.allOf', { of }) }}
  </button>
  <button v-else-if="of > few" type="button" class="button quiet" @click="shown = few">{{ t('common.fewer') }}</button>
</template>
