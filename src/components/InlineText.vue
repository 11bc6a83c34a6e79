<script setup lang="ts">
import { nextTick, ref } from 'vue'

/** A text that is edited where it stands: Enter or a click begins, Enter or leaving keeps, Escape gives up. */
const props = defineProps<{
  value: string
  label: string
  multiline?: boolean
  placeholder?: string
  required?: boolean
}>()
const emit = defineEmits<{ change: [value: string] }>()

const isEditing = ref(false)
const draft = ref('')
const field = ref<HTMLInputElement | HTMLTextAreaElement>()
const shown = ref<HTMLButtonElement>()

async function begin() {
  draft.value = props.value
  isEditing.value = true
  await nextTick()
  field.value?.focus()
  field.value?.select()
}

async function end(keep: boolean, refocus: boolean) {
  if (!isEditing.value) return
  isEditing.value = false
  const text = draft.value.trim()
  if (keep && text !== props.value && (text || !props.required)) emit('change', text)
  if (!refocus) return
  await nextTick()
  shown.value?.focus()
}

function onEnter(event: KeyboardEvent) {
  if (props.multiline && event.shiftKey) return
  event.preventDefault()
  void end(true, true)
}

defineExpose({ begin })
</script>

<template>
  <component
    :is="multiline ? 'textarea' : 'input'"
    v-if="isEditing"
    ref="field"
    v-model="draft"
    class="field inline-field"
    :aria-label="label"
    :maxlength="multiline ? 2000 : 200"
    rows="2"
    @keydown.enter.stop="onEnter"
    @keydown.esc.stop="end(false, true)"
    @keydown.stop
    @blur="end(true, false)"
  />
  <button
    v-else
    ref="shown"
    type="button"
    class="plain shown"
    :title="`${label}: change`"
    @click="begin"
    @keydown.f2="begin"
  >
    <slot>{{ value }}</slot>
    <span v-if="!value" class="muted">{{ placeholder }}</span>
  </button>
</template>

<style scoped>
.shown {
  border-radius: 4px;
  padding: 1px 3px;
  margin: -1px -3px;
  overflow-wrap: anywhere;
  white-space: pre-line;
}

.shown:hover {
  background: color-mix(in srgb, var(--line) 60%, transparent);
}

.inline-field {
  min-width: 8em;
  resize: vertical;
}
</style>
