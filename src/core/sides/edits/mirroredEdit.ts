import { keysOfBoth } from '../../typed'
import { original, produce } from 'immer'
import type { Chart } from '../../chart/chart'
import type { Edit } from '../../document/history'
import { present } from '../../sure'
import { mirrorChart } from '../mirror'

/** Turns an edit of the mirrored chart into the same edit of the stored chart. */
export function mirroredEdit(edit: Edit<Chart>): Edit<Chart> {
  return (draft) => {
    const kept = present(original(draft))
    const after = mirrorChart(produce(mirrorChart(kept), (seen) => void edit(seen as Chart)))
    const fields = keysOfBoth(kept, after)
    for (const field of fields) {
      if (after[field] === kept[field]) continue
      if (after[field] === undefined) delete draft[field]
      else Object.assign(draft, { [field]: after[field] })
    }
  }
}
