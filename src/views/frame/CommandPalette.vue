<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import ComboList, { type Choice } from '../../components/ComboList.vue'
import { useCharts } from '../../stores/charts'
import { useRange } from '../../stores/range'
import { downloadChart } from '../parts/files/importing'
import type * as Commands from './commands'
import type { Action, Command } from './commands'
import type * as Finding from './finding'
import { useTheme } from '../../stores/theme'
import { t } from '../../words'

/** Finds any position, move, reaction, screen or action, and goes there or does it. */
const emit = defineEmits<{ close: []; shortcuts: [] }>()
const charts = useCharts()
const router = useRouter()
const range = useRange()
const isDark = useTheme()
const dialog = ref<HTMLDialogElement>()
/** So many can be scrolled through. */
const MAX_COMMANDS = 80

/** Its field is there at once, for what is typed right after the key that opens it; the search follows. */
const search = shallowRef<typeof Commands & typeof Finding>()
const commands = computed(() => search.value?.commandsFor(charts.chart, charts.steps) ?? [])
const finder = computed(() => search.value?.commandFinder(commands.value))
onMounted(async () => {
  dialog.value?.showModal()
  const [commands, finding] = await Promise.all([import('./commands'), import('./finding')])
  search.value = { ...commands, ...finding }
})

function find(text: string): Choice[] {
  const found: Command[] = finder.value?.(text) ?? []
  return found.slice(0, MAX_COMMANDS).map(({ key, name, where }) => ({ key, value: name, id: key, hint: where }))
}

async function exportChart() {
  if (charts.chart) downloadChart(await charts.fileText(), charts.chart.id)
}
const ACTIONS: Record<Action, () => void> = {
  undo: () => charts.undo(),
  redo: () => charts.redo(),
  shortcuts: () => emit('shortcuts'),
  dark: () => (isDark.value = !isDark.value),
  print: () => void nextTick(() => window.print()),
  export: () => void exportChart(),
  'how sure': () => void router.push('/desk').then(() => range.ask()),
}

function run({ id }: Choice) {
  const command = commands.value.find(({ key }) => key === id)
  dialog.value?.close()
  if (command?.go) void router.push(command.go)
  else if (command?.does) ACTIONS[command.does]()
}
</script>

<template>
  <dialog ref="dialog" class="panel" :aria-label="t('frame.find')" @close="emit('close')" @click.self="dialog?.close()">
    <ComboList
      :label="t('frame.findAPositionMoveReactionScreen')"
      :placeholder="t('frame.aFewLettersOfAPosition')"
      :find="find"
      :waits="!search"
      @pick="run"
      @cancel="dialog?.close()"
    />
  </dialog>
</template>

<style scoped>
dialog {
  width: min(600px, 92vw);
  margin-top: 12vh;
  padding: var(--space-16);
  color: var(--ink);
  box-shadow: var(--shadow);
}

dialog::backdrop {
  background: color-mix(in srgb, var(--rail) 45%, transparent);
}
</style>
