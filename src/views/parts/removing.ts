import type { Chart } from '../../core/chart/chart'
import type { Edit } from '../../core/document/history'
import { sayRemoved } from '../../core/say/removed'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

/** What can be removed: ids of one or more records, and what they are called. */
interface Removable {
  id: string | readonly string[]
  name: string
}

/** How to remove records: by an edit that is told, with all that went along and the way back. */
export function useRemoving() {
  const charts = useCharts()
  /** Returns whether anything was removed. */
  return ({ id, name }: Removable, edit: Edit<Chart>, label = t('common.removeName', { name })): boolean => {
    const before = present(charts.chart)
    if (!charts.edit(label, edit)) return false
    charts.tell(sayRemoved(name, [id].flat(), before, present(charts.chart)), 'info', 'undo')
    return true
  }
}
