<script setup lang="ts">
import { targetOf } from '../../../components/events'
import { ref } from 'vue'
import { importFile } from './importing'
import { t } from '../../../words'

/** A button that imports a file of the coach's choice. Its words are the slot. */
defineOptions({ inheritAttrs: false })
const file = ref<HTMLInputElement>()

function chosen(event: Event) {
  const input = targetOf(event, HTMLInputElement)
  const picked = input.files?.[0]
  // Emptied, so that the same file can be chosen again.
  input.value = ''
  if (picked) void importFile(picked)
}
</script>

<template>
  <el-button v-bind="$attrs" @click="file?.click()"><slot /></el-button>
  <input
    ref="file"
    type="file"
    accept=".json,application/json"
    class="readers-only"
    tabindex="-1"
    :aria-label="t('files.chartFile')"
    @change="chosen"
  />
</template>
