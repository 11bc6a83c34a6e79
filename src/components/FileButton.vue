<script setup lang="ts">
import { ref } from 'vue'
import { targetOf } from './events'

/** A button that asks for a file. Its words are the slot; `label` names the field behind it. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string }>()
const emit = defineEmits<{ file: [file: File] }>()
const field = ref<HTMLInputElement>()

function chosen(event: Event) {
  const input = targetOf(event, HTMLInputElement)
  const picked = input.files?.[0]
  // Emptied, so that the same file can be chosen again.
  input.value = ''
  if (picked) emit('file', picked)
}
</script>

<template>
  <el-button v-bind="$attrs" @click="field?.click()"><slot /></el-button>
  <input
    ref="field"
    type="file"
    accept=".json,.csv,.tsv,.txt,.md,.graphml,.xml,.zip,application/json"
    class="readers-only"
    tabindex="-1"
    :aria-label="label"
    @change="chosen"
  />
</template>
