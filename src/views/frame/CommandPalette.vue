<script setup lang="ts">
import Fuse from 'fuse.js'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import ComboList, { type Choice } from '../../components/ComboList.vue'
import { useCharts } from '../../stores/charts'
import { commandsFor } from './commands'

/** Finds any position, move, reaction, screen or action, and goes there or does it. */
const emit = defineEmits<{ close: []; shortcuts: [] }>()
const charts = useCharts()
const router = useRouter()
const dialog = ref<HTMLDialogElement>()
const MAX_COMMANDS = 12

const commands = computed(() => commandsFor(charts.chart, charts.steps))
const fuse = computed(() => {
  const keys = ['name', { name: 'aliases', weight: 0.8 }, { name: 'where', weight: 0.3 }]
  return new Fuse(commands.value, { keys, threshold: 0.35, ignoreLocation: true })
})
onMounted(() => dialog.value?.showModal())

function find(text: string): Choice[] {
  const found = text.trim()
    ? fuse.value.search(text, { limit: MAX_COMMANDS }).map(({ item }) => item)
    : commands.value.slice(0, MAX_COMMANDS)
  return found.map(({ key, name, where }) => ({ key, value: name, id: key, hint: where }))
}

function run({ id }: Choice) {
  const command = commands.value.find(({ key }) => key === id)
  dialog.value?.close()
  if (command?.go) void router.push(command.go)
  else if (command?.does === 'undo') charts.undo()
  else if (command?.does === 'redo') charts.redo()
  else if (command?.does === 'shortcuts') emit('shortcuts')
}
</script>

<template>
  <dialog ref="dialog" class="panel" aria-label="Find" @close="emit('close')" @click.self="dialog?.close()">
    <ComboList
      label="Find a position, move, reaction, screen or action"
      placeholder="A few letters of a position, move, reaction or screen"
      :find="find"
      @pick="run"
      @cancel="dialog?.close()"
    />
  </dialog>
</template>

<style scoped>
dialog {
  width: min(600px, 92vw);
  margin-top: 12vh;
  padding: 14px;
  color: var(--ink);
  box-shadow: var(--shadow);
}

dialog::backdrop {
  background: rgb(10 20 18 / 45%);
}
</style>
