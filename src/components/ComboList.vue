<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useId, watch } from 'vue'
import { t } from '../words'

/** Something to choose: `id` null stands for a new one of the name that was typed. */
export interface Choice {
  key: string
  value: string
  id: string | null
  hint: string
}

/** A field with a list under it: type a few letters, Enter takes the first, arrows choose another. */
const props = defineProps<{
  label: string
  placeholder?: string
  find: (text: string) => Choice[]
  floating?: boolean
  /** True while what is found is still on its way: Enter then waits for it. */
  waits?: boolean
}>()
const emit = defineEmits<{ pick: [choice: Choice]; cancel: [] }>()

const text = ref('')
const chosen = ref(0)
const field = ref<HTMLInputElement>()
const list = ref<HTMLElement>()
const name = useId()
const found = computed(() => props.find(text.value))
const isEntered = ref(false)

watch(text, () => (chosen.value = 0))
watch(
  () => props.waits,
  () => isEntered.value && pick(),
)
watch(chosen, async () => {
  await nextTick()
  list.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest' })
})
onMounted(() => field.value?.focus())

function pick() {
  const choice = found.value[chosen.value]
  if (choice) emit('pick', choice)
}

function onKey(event: KeyboardEvent) {
  event.stopPropagation()
  const n = found.value.length
  if (event.key === 'ArrowDown') chosen.value = n ? (chosen.value + 1) % n : 0
  else if (event.key === 'ArrowUp') chosen.value = n ? (chosen.value + n - 1) % n : 0
  else if (event.key === 'Enter' && props.waits) isEntered.value = true
  else if (event.key === 'Enter' && n) pick()
  else if (event.key === 'Escape') emit('cancel')
  else return
  event.preventDefault()
}
</script>

<template>
  <div class="combo" :class="{ floating }">
    <input
      ref="field"
      v-model="text"
      class="field"
      role="combobox"
      aria-expanded="true"
      aria-autocomplete="list"
      :aria-controls="name"
      :aria-activedescendant="found.length ? `${name}-${chosen}` : undefined"
      :aria-label="label"
      :placeholder="placeholder ?? label"
      maxlength="200"
      autocomplete="off"
      @keydown="onKey"
      @blur="floating && emit('cancel')"
    />
    <ul :id="name" ref="list" :class="{ options: floating }" role="listbox" :aria-label="label">
      <li
        v-for="(choice, i) in found"
        :id="`${name}-${i}`"
        :key="choice.key"
        role="option"
        :aria-selected="i === chosen"
        :class="{ chosen: i === chosen }"
        @mousedown.prevent
        @click="emit('pick', choice)"
      >
        <span>{{ choice.value }}</span>
        <span class="hint">{{ choice.hint }}</span>
      </li>
    </ul>
    <p v-if="!found.length && !waits" class="muted small">{{ t('marks.nothingOfThatName') }}</p>
  </div>
</template>

<style scoped src="./options.css"></style>

<style scoped>
.combo {
  position: relative;
}

ul:not(.options) {
  max-height: 50vh;
  margin-top: var(--space-8);
  overflow: auto;
}

li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-24);
}

.hint {
  color: var(--muted);
  font-size: var(--type-small);
}
</style>
