import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Edit } from '../core/document/history'
import { mirroredEdit } from '../core/sides/edits/mirroredEdit'
import { mirrorChart } from '../core/sides/mirror'
import type { useOpenDocument } from './openDocument'

/** The open chart as it is seen: from the side that it was charted for, or (flipped) from the other. */
export function useSeenSide(current: ReturnType<typeof useOpenDocument<Chart>>) {
  const isFlipped = useStorage('ataque-flipped', false)
  const chart = computed(() => {
    const kept = current.document.value
    return kept && isFlipped.value ? mirrorChart(kept) : kept
  })

  /** Does an edit of the chart as it is seen, as one step that can be undone. Returns whether anything changed. */
  const edit = (label: string, change: Edit<Chart>, join?: string): boolean =>
    current.edit(label, isFlipped.value ? mirroredEdit(change) : change, join)

  return { isFlipped, chart, edit }
}
