import { computed, reactive, shallowRef, type Ref } from 'vue'
import type { Saving } from '../storage/documentEditor'
import { useCharts } from './charts'
import type { UnsavedDocument } from './openDocument'

/** A document of another kind than charts, as far as the frame needs to know it. */
export interface Acting {
  steps: Ref<{ undo?: string | undefined; redo?: string | undefined }>
  saving: Ref<Saving>
  unsaved: Ref<UnsavedDocument[]>
  undo: () => boolean
  redo: () => boolean
  retry: () => Promise<void>
}

const shown = shallowRef<Acting | null>(null)

/** A screen of another document than the chart is shown; returns what is to be called when it goes. */
export function showsDocument(acting: Acting): () => void {
  shown.value = acting
  return () => {
    if (shown.value === acting) shown.value = null
  }
}

/** What Undo, Redo and the word on what is kept are about: the document of the screen, which mostly is the chart. */
export function useActing() {
  const charts = useCharts()
  return reactive({
    steps: computed(() => shown.value?.steps.value ?? charts.steps),
    saving: computed(() => shown.value?.saving.value ?? charts.saving),
    isThere: computed(() => shown.value !== null || charts.chart !== null),
    /** Of all documents that are open. */
    unsaved: computed(() => [...charts.unsaved, ...(shown.value?.unsaved.value ?? [])]),
    undo: () => (shown.value ? shown.value.undo() : charts.undo()),
    redo: () => (shown.value ? shown.value.redo() : charts.redo()),
    retry: async () => {
      await charts.retry()
      await shown.value?.retry()
    },
  })
}
