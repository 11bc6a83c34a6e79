<script setup lang="ts">
import { nextTick, ref } from 'vue'
import TokenField from './TokenField.vue'
import { t } from '../words'

/** A text that is edited where it stands: Enter or a click begins, Enter or leaving keeps, Escape gives up. */
const props = defineProps<{
  value: string
  label: string
  multiline?: boolean
  placeholder?: string
  required?: boolean
  /** What an opening brace offers. */
  tokens?: readonly string[]
}>()
const emit = defineEmits<{ change: [value: string] }>()

const isEditing = ref(false)
const typed = ref('')
const field = ref<HTMLInputElement | HTMLTextAreaElement>()
const tokenField = ref<InstanceType<typeof TokenField>>()
const shown = ref<HTMLElement>()

async function begin() {
  typed.value = props.value
  isEditing.value = true
  await nextTick()
  if (props.tokens) return tokenField.value?.focus()
  field.value?.focus()
  field.value?.select()
}

async function end(keep: boolean, refocus: boolean) {
  if (!isEditing.value) return
  isEditing.value = false
  const text = typed.value.trim()
  if (keep && text !== props.value && (text || !props.required)) emit('change', text)
  if (!refocus) return
  await nextTick()
  shown.value?.focus()
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'Escape') void end(false, true)
  else if (event.key === 'Enter' && !(props.multiline && event.shiftKey)) void end(true, true)
  else return
  event.preventDefault()
}

defineExpose({ begin })
</script>

<template>
  <textarea
    v-if="isEditing && multiline"
    ref="field"
    v-model="typed"
    class="field inline-field"
    :aria-label="label"
    maxlength="2000"
    rows="2"
    @keydown.stop="onKey"
    @blur="end(true, false)"
  />
  <TokenField
    v-else-if="isEditing && tokens"
    ref="tokenField"
    v-model="typed"
    :label="label"
    :tokens="tokens"
    @enter="end(true, true)"
    @escape="end(false, true)"
    @leave="end(true, false)"
  />
  <input
    v-else-if="isEditing"
    ref="field"
    v-model="typed"
    class="field inline-field"
    :aria-label="label"
    maxlength="200"
    @keydown.stop="onKey"
    @blur="end(true, false)"
  />
  <span
    v-else
    ref="shown"
    role="button"
    tabindex="0"
    class="shown"
    :data-tip="t('marks.labelChange', { label })"
    :aria-label="`${label}: ${value || placeholder || t('common.none')}`"
    @click="begin"
    @keydown.f2.prevent="begin"
    @keydown.enter.stop.prevent="begin"
    @keydown.space.stop.prevent="begin"
    ><slot>{{ value }}</slot
    ><span v-if="!value" class="muted">{{ placeholder }}</span></span
  >
</template>

<style scoped>
.shown {
  border-radius: var(--corner);
  padding: 0 var(--space-4);
  margin: 0 calc(-1 * var(--space-4));
  cursor: text;
  overflow-wrap: anywhere;
  white-space: pre-line;
}

.shown:hover {
  background: color-mix(in srgb, var(--line) 60%, transparent);
}

/* With a finger a short text is as high as it must be to be met. */
@media (pointer: coarse) {
  .shown {
    display: inline-block;
    min-width: 24px;
    min-height: 24px;
    padding-block: var(--space-4);
  }
}

@media print {
  .shown {
    margin: 0;
    padding: 0;
  }

  .shown > .muted {
    display: none;
  }
}

.inline-field {
  min-width: 8em;
  resize: vertical;
}
</style>
