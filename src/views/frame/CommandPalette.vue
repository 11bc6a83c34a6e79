<script setup lang="ts">
import Fuse from 'fuse.js'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useCharts } from '../../stores/charts'
import { commandsFor, type Command } from './commands'

const emit = defineEmits<{ close: []; shortcuts: [] }>()
const charts = useCharts()
const router = useRouter()
const text = ref('')
const chosen = ref(0)
const field = ref<HTMLInputElement>()
const list = ref<HTMLElement>()

const commands = computed(() => commandsFor(charts.chart, { undo: charts.steps.undo, redo: charts.steps.redo }))
const fuse = computed(
  () =>
    new Fuse(commands.value, {
      keys: ['name', { name: 'aliases', weight: 0.8 }, { name: 'where', weight: 0.3 }],
      threshold: 0.35,
      ignoreLocation: true,
    }),
)
const found = computed(() =>
  text.value.trim()
    ? fuse.value.search(text.value, { limit: 12 }).map(({ item }) => item)
    : commands.value.slice(0, 12),
)
watch(found, () => (chosen.value = 0))
watch(chosen, async () => {
  await nextTick()
  list.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest' })
})
onMounted(async () => {
  await nextTick()
  field.value?.focus()
})

function run(command: Command | undefined) {
  if (!command) return
  emit('close')
  if (command.go) void router.push(command.go)
  else if (command.does === 'undo') charts.undo()
  else if (command.does === 'redo') charts.redo()
  else if (command.does === 'shortcuts') emit('shortcuts')
}

function onKey(event: KeyboardEvent) {
  const n = found.value.length
  if (event.key === 'ArrowDown') chosen.value = n ? (chosen.value + 1) % n : 0
  else if (event.key === 'ArrowUp') chosen.value = n ? (chosen.value + n - 1) % n : 0
  else if (event.key === 'Enter') run(found.value[chosen.value])
  else return
  event.preventDefault()
}
</script>

<template>
  <el-dialog :model-value="true" title="Find" width="560" :show-close="false" @close="emit('close')">
    <input
      ref="field"
      v-model="text"
      class="field"
      role="combobox"
      aria-expanded="true"
      aria-controls="found"
      :aria-activedescendant="`found-${chosen}`"
      aria-label="Find a position, move, reaction, screen or action"
      placeholder="A few letters of a position, move, reaction or screen"
      @keydown="onKey"
    />
    <ul id="found" ref="list" role="listbox" aria-label="Found">
      <li
        v-for="(command, i) in found"
        :id="`found-${i}`"
        :key="command.key"
        role="option"
        :aria-selected="i === chosen"
        :class="{ chosen: i === chosen }"
        @click="run(command)"
      >
        <span>{{ command.name }}</span>
        <span class="muted small">{{ command.where }}</span>
      </li>
      <li v-if="!found.length" class="muted">Nothing of that name.</li>
    </ul>
  </el-dialog>
</template>

<style scoped>
ul {
  margin-top: 8px;
  max-height: 50vh;
  overflow: auto;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 6px 8px;
  border-radius: 6px;
  cursor: pointer;
}

.chosen {
  background: var(--ours-soft);
}
</style>
