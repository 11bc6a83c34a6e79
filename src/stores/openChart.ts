import { useLocalStorage } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import { makeChart } from '../core/files/chartFile'
import { mirrorChart } from '../core/sides/mirror'
import { ChartSession, type Edit, type Saving } from '../storage/chartSession'
import type { Database } from '../storage/database'
import { mirroredEdit } from '../storage/mirroredEdit'

export type Tell = (text: string, kind?: 'info' | 'warning') => void

interface Surroundings {
  tell: Tell
  /** Tells the other tabs that a chart was saved. */
  announce(id: string): void
  saved(chart: Chart, at: number): void
}

/** The chart that is open: its session as the screens see it. */
export function useOpenChart({ tell, announce, saved }: Surroundings) {
  /** As it is seen: from the side that it was charted for, or (flipped) from the other. */
  const chart = shallowRef<Chart | null>(null)
  const isFlipped = useLocalStorage('ataque-flipped', false)
  const saving = ref<Saving>({ state: 'saved', at: 0 })
  const steps = ref<{ undo?: string; redo?: string }>({})
  let session: ChartSession | null = null

  function show() {
    const kept = session?.chart ?? null
    chart.value = kept && isFlipped.value ? mirrorChart(kept) : kept
    steps.value = { undo: session?.undoLabel, redo: session?.redoLabel }
  }

  const events = {
    changed(by: 'here' | 'another tab') {
      show()
      if (by === 'another tab') tell('Another tab changed this chart: you see it as it is now.')
    },
    saving(status: Saving) {
      saving.value = status
      if (status.state === 'saved' && session) saved(session.chart, status.at)
    },
    lost: (label: string, reason: string) => tell(`“${label}” could not be kept: ${reason}.`, 'warning'),
  }
  const clock = { now: () => Date.now(), later: (run: () => void, ms: number) => setTimeout(run, ms), announce }

  function begin(db: Database | null, kept: ConstructorParameters<typeof ChartSession>[1]) {
    session = new ChartSession(db, kept, events, clock)
    saving.value = { state: 'saved', at: kept.stored.savedAt }
    show()
  }

  function end() {
    session = null
    show()
  }

  watch(isFlipped, show)

  /** Does an edit of the chart as it is seen, as one step that can be undone. Returns whether anything changed. */
  const edit = (label: string, change: Edit, join?: string) =>
    editKept(label, isFlipped.value ? mirroredEdit(change) : change, join)

  /** The same of the chart as it is kept. */
  function editKept(label: string, change: Edit, join?: string): boolean {
    try {
      return session?.edit(label, change, join) ?? false
    } catch (error) {
      tell((error as Error).message, 'warning')
      return false
    }
  }

  return {
    ...{ chart, saving, steps, isFlipped, begin, end, edit, editKept },
    undo: () => session?.undo() ?? false,
    redo: () => session?.redo() ?? false,
    flush: async () => session?.flush(),
    refresh: async () => session?.refresh(),
    /** The chart as a file's text; works whether or not it could be kept. */
    exportText: () => (session ? makeChart(session.chart) : ''),
  }
}
