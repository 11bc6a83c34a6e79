<script setup lang="ts">
import { sure } from '../core/sure'
import { computed, nextTick, ref, useId } from 'vue'
import { typedToken } from '../core/sides/tokens'
import { t } from '../words'

/** A field in which an opening brace offers what may stand there: arrows choose, Enter or Tab takes. */
const props = defineProps<{ label: string; tokens: readonly string[]; placeholder?: string }>()
const emit = defineEmits<{ enter: []; escape: []; leave: [] }>()
const text = defineModel<string>({ required: true })

const MAX_OFFERS = 8
const field = ref<HTMLInputElement>()
const caret = ref(0)
const chosen = ref(0)
const isClosed = ref(false)
const name = useId()
const typed = computed(() => (isClosed.value ? null : typedToken(text.value.slice(0, caret.value), props.tokens)))
const offers = computed(() => typed.value?.offers.slice(0, MAX_OFFERS) ?? [])

function follow() {
  caret.value = field.value?.selectionStart ?? text.value.length
  chosen.value = 0
  isClosed.value = false
}

async function take(token: string) {
  if (!typed.value) return
  const before = text.value.slice(0, typed.value.from) + token
  text.value = before + text.value.slice(caret.value)
  caret.value = before.length
  await nextTick()
  field.value?.setSelectionRange(before.length, before.length)
}

function onKey(event: KeyboardEvent) {
  event.stopPropagation()
  const n = offers.value.length
  if (n && event.key === 'ArrowDown') chosen.value = (chosen.value + 1) % n
  else if (n && event.key === 'ArrowUp') chosen.value = (chosen.value + n - 1) % n
  else if (n && (event.key === 'Enter' || event.key === 'Tab')) void take(sure(offers.value[chosen.value]))
  else if (n && event.key === 'Escape') isClosed.value = true
  else if (event.key === 'Enter') emit('enter')
  else if (event.key === 'Escape') emit('escape')
  else return
  event.preventDefault()
}

defineExpose({
  focus: () => {
    field.value?.focus()
    field.value?.select()
  },
})
</script>

<template>
  <span class="tokens">
    <input
      ref="field"
      v-model="text"
      class="field"
      role="combobox"
      aria-autocomplete="list"
      :aria-expanded="offers.length > 0"
      :aria-controls="name"
      :aria-activedescendant="offers.length ? `${name}-${chosen}` : undefined"
      :aria-label="label"
      :placeholder="placeholder"
      maxlength="300"
      autocomplete="off"
      @input="follow"
      @click="follow"
      @keydown="onKey"
      @blur="emit('leave')"
    />
    <ul v-show="offers.length" :id="name" class="options" role="listbox" :aria-label="t('marks.limbs')">
      <li
        v-for="(token, i) in offers"
        :id="`${name}-${i}`"
        :key="token"
        role="option"
        :aria-selected="i === chosen"
        :class="{ chosen: i === chosen }"
        @mousedown.prevent
        @click="take(token)"
      >
        {{ token.slice(1, -1) }}
      </li>
    </ul>
  </span>
</template>

<style scoped src="./options.css"></style>

<style scoped>
.tokens {
  position: relative;
  display: block;
}

.field {
  width: 100%;
}
</style>
