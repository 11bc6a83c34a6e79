<script setup lang="ts">
import { sure } from '../core/sure'
import { computed, nextTick, ref, watch } from 'vue'
import type { Completion } from '../core/notation/complete'
import { t } from '../words'

/** A line (or several) in the coach's notation: names are completed while typing, a mistake is pointed at. */
const props = defineProps<{
  value: string
  label: string
  placeholder?: string
  complete: (line: string, caret: number) => Completion
  error: { line: number; at: number; end: number; message: string } | null
}>()
const emit = defineEmits<{ say: [text: string]; cancel: []; typed: [text: string] }>()

const text = ref(props.value)
const field = ref<HTMLTextAreaElement>()
const offered = ref<Completion>({ from: 0, options: [] })
const chosen = ref(-1)

watch(
  () => props.value,
  (value) => (text.value = value),
)

const lines = computed(() => text.value.split('\n'))
const wrong = computed(() => {
  if (!props.error) return null
  const line = lines.value[props.error.line] ?? ''
  return {
    before: line.slice(0, props.error.at),
    part: line.slice(props.error.at, props.error.end) || ' ',
    after: line.slice(props.error.end),
  }
})

/** The caret's line, and where the caret is in it. */
function caretLine(): { line: string; caret: number; start: number } {
  const at = field.value?.selectionStart ?? text.value.length
  const start = text.value.lastIndexOf('\n', at - 1) + 1
  const end = text.value.indexOf('\n', at)
  return { line: text.value.slice(start, end < 0 ? undefined : end), caret: at - start, start }
}

function offer() {
  const { line, caret } = caretLine()
  const typed = caret > 0 && line.slice(0, caret).trim() !== ''
  offered.value = typed ? props.complete(line, caret) : { from: 0, options: [] }
  chosen.value = -1
  emit('typed', text.value)
}

async function take(i: number) {
  const { start, caret, line } = caretLine()
  const { insert } = sure(offered.value.options[i])
  const from = start + offered.value.from
  text.value = text.value.slice(0, from) + insert + text.value.slice(start + caret)
  offered.value = { from: 0, options: [] }
  await nextTick()
  field.value?.setSelectionRange(from + insert.length, from + insert.length)
  field.value?.focus()
  if (line) emit('typed', text.value)
}

function onKey(event: KeyboardEvent) {
  event.stopPropagation()
  const { options } = offered.value
  const n = options.length
  if (n && event.key === 'ArrowDown') chosen.value = (chosen.value + 1) % n
  else if (n && event.key === 'ArrowUp') chosen.value = (Math.max(0, chosen.value) + n - 1) % n
  else if (n && event.key === 'Tab' && !event.shiftKey) void take(Math.max(0, chosen.value))
  else if (n && event.key === 'Enter' && chosen.value >= 0) void take(chosen.value)
  else if (event.key === 'Enter' && !event.shiftKey) {
    offered.value = { from: 0, options: [] }
    emit('say', text.value)
  } else if (event.key === 'Escape' && n) offered.value = { from: 0, options: [] }
  else if (event.key === 'Escape') emit('cancel')
  else return
  event.preventDefault()
}

/** Puts text where the caret is, as if it had been typed. */
async function insert(added: string) {
  const at = field.value?.selectionStart ?? text.value.length
  text.value = text.value.slice(0, at) + added + text.value.slice(at)
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(at + added.length, at + added.length)
  offer()
}

/** Sets the whole text, with the caret at its end. */
async function replace(all: string) {
  text.value = all
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(all.length, all.length)
  offer()
}

defineExpose({ focus: () => field.value?.focus(), insert, replace })
</script>

<template>
  <div class="say">
    <textarea
      ref="field"
      v-model="text"
      class="field"
      :rows="Math.min(12, Math.max(lines.length, Math.ceil(text.length / 90), 1))"
      spellcheck="false"
      :aria-label="label"
      :placeholder="placeholder"
      @input="offer"
      @keydown="onKey"
      @blur="offered = { from: 0, options: [] }"
    />
    <ul v-if="offered.options.length" class="offers" role="listbox" :aria-label="t('marks.whatMayFollow')">
      <li
        v-for="(option, i) in offered.options"
        :key="option.insert"
        role="option"
        :aria-selected="i === Math.max(0, chosen)"
        :class="{ chosen: i === Math.max(0, chosen) }"
        @mousedown.prevent
        @click="take(i)"
      >
        {{ option.label }} <span class="muted small">{{ option.kind }}</span>
      </li>
    </ul>
    <p v-if="error && wrong" class="wrong" role="alert">
      <code
        >{{ wrong.before }}<mark>{{ wrong.part }}</mark
        >{{ wrong.after }}</code
      >
      <span>{{ lines.length > 1 ? t('marks.lineLine', { line: error.line + 1 }) : '' }}{{ error.message }}</span>
    </p>
  </div>
</template>

<style scoped>
.say {
  position: relative;
}

/* As high as what stands in it, where the browser can; else by its rows. */
textarea {
  display: block;
  field-sizing: content;
  max-height: 20em;
  resize: none;
  font-size: var(--type-body);
  line-height: 1.5;
}

.offers {
  position: absolute;
  z-index: 20;
  left: 8px;
  top: 100%;
  min-width: 220px;
  padding: var(--space-4);
  border: 1px solid var(--strong-line);
  border-radius: var(--corner);
  background: var(--raised);
  box-shadow: var(--shadow);
}

.offers li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-16);
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner);
  cursor: pointer;
}

.chosen {
  background: var(--ours-soft);
}

.wrong {
  display: grid;
  gap: var(--space-4);
  margin-top: var(--space-8);
  color: var(--leak);
}

code {
  font: var(--type-body) / 1.4 var(--text);
  color: var(--ink);
  overflow-wrap: anywhere;
}

mark {
  background: none;
  color: var(--leak);
  border-bottom: 2px solid var(--leak);
  white-space: pre;
}
</style>
