<script setup lang="ts">
import { present } from '../../core/sure'
import { useEventListener } from '@vueuse/core'
import { defineAsyncComponent, ref } from 'vue'
import { useReading } from '../../stores/reading'
import { importFile } from '../parts/files/importing'
import { useArrivals } from './arrivals'
import { useReport } from '../parts/files/report'
import { t } from '../../words'

/** A file dropped anywhere is imported; while a large one is read, it can be stopped. */
const ImportReport = defineAsyncComponent(() => import('../parts/files/ImportReport.vue'))
const ReadingNote = defineAsyncComponent(() => import('./ReadingNote.vue'))
const isOver = ref(false)
const { report } = useReport()
const reading = useReading()
let depth = 0
useArrivals()

const hasFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false

useEventListener(window, 'dragenter', (event) => {
  if (hasFiles(event)) isOver.value = ++depth > 0
})
useEventListener(window, 'dragleave', (event) => {
  if (hasFiles(event)) isOver.value = --depth > 0
})
useEventListener(window, 'dragover', (event) => hasFiles(event) && event.preventDefault())
useEventListener(window, 'drop', (event) => {
  if (!hasFiles(event)) return
  event.preventDefault()
  depth = 0
  isOver.value = false
  const [file] = present(event.dataTransfer).files
  if (file) void importFile(file)
})
</script>

<template>
  <div v-if="isOver" class="drop" aria-hidden="true">{{ t('frame.letGoToImportTheChart') }}</div>
  <ImportReport v-if="report" />
  <ReadingNote v-if="reading.progress !== null" />
</template>

<style scoped>
.drop {
  position: fixed;
  z-index: 60;
  inset: 12px;
  display: grid;
  place-items: center;
  border: 3px dashed var(--ours);
  border-radius: var(--corner-full);
  background: color-mix(in srgb, var(--ours-soft) 88%, transparent);
  font: var(--weight-strong) var(--type-title) / 1.2 var(--label);
  pointer-events: none;
}
</style>
