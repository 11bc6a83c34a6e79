<script setup lang="ts">
import { t } from '../words'
/** Under a list that shows its first entries: shows all of them, or as many more as can be drawn at once. */
const props = defineProps<{ few: number; of: number }>()
const shown = defineModel<number>({ required: true })

const STEP = 100
const next = () => Math.min(props.of, shown.value + STEP)
</script>

<template>
  <el-button v-if="of > few && shown < of" text @click="shown = next()">
    {{ next() < of ? t('marks.stepMoreOfOf', { step: STEP, of }) : t('common.allOf', { of }) }}
  </el-button>
  <el-button v-else-if="of > few" text @click="shown = few">{{ t('common.fewer') }}</el-button>
</template>
