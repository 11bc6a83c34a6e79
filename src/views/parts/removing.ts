import type { Chart } from '../../core/chart/chart'
import type { Edit } from '../../core/document/history'
import { sayRemoved } from '../../core/say/removed'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import type { Place } from '../../stores/news'
import { t } from '../../words'

/** What can be removed: ids of one or more records, and what they are called. */
interface Removable {
  id: string | readonly string[]
  name: string
  /** What shows it, and is gone from the screen then. */
  shownBy?: Element | null | undefined
}

/** Where something stands that is about to go: what goes with it, and the way back, are told there. */
export function placeOfGoing(element: Element | null | undefined = document.activeElement): Place | undefined {
  if (!element || element === document.body) return undefined
  const { left, top } = element.getBoundingClientRect()
  return { left, top }
}

/** How to remove records: by an edit that is told, with all that went along and the way back, where they were. */
export function useRemoving() {
  const charts = useCharts()
  /** Returns whether anything was removed. */
  return ({ id, name, shownBy }: Removable, edit: Edit<Chart>, label = t('common.removeName', { name })): boolean => {
    const before = present(charts.chart)
    const place = placeOfGoing(shownBy)
    if (!charts.edit(label, edit)) return false
    charts.tell(sayRemoved(name, [id].flat(), before, present(charts.chart)), 'info', 'undo', place)
    return true
  }
}
