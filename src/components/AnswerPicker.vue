<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue'

/** A field to choose a move in: type a few letters, Enter takes the first. A new name offers to chart it. */
export interface Choice {
  value: string
  /** What is picked: a charted move's id, or null to chart a new one of this name. */
  id: string | null
  hint: string
}

const props = defineProps<{ label: string; find: (text: string) => Choice[] }>()
const emit = defineEmits<{ pick: [choice: Choice]; cancel: [] }>()

const text = ref('')
const box = ref<{ focus(): void }>()

onMounted(async () => {
  await nextTick()
  box.value?.focus()
})

function suggest(typed: string, show: (choices: Choice[]) => void) {
  show(props.find(typed))
}
</script>

<template>
  <el-autocomplete
    ref="box"
    v-model="text"
    class="picker"
    size="small"
    :aria-label="label"
    :placeholder="label"
    :debounce="0"
    :fetch-suggestions="suggest"
    highlight-first-item
    fit-input-width
    popper-class="picker-list"
    @select="(choice: Record<string, any>) => emit('pick', choice as Choice)"
    @keydown.esc.stop="emit('cancel')"
    @keydown.stop
  >
    <template #default="{ item }">
      <span class="choice"
        ><span>{{ item.value }}</span
        ><span class="hint">{{ item.hint }}</span></span
      >
    </template>
  </el-autocomplete>
</template>

<style scoped>
.picker {
  width: 100%;
  max-width: 360px;
}

.choice {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}

.hint {
  color: var(--muted);
}
</style>
