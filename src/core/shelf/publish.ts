import type { Chart } from '../chart/chart'
import { partOf } from '../chart/part'
import { idFromName } from '../document/ids'
import { withFreshIds } from './freshIds'
import type { ShelfRegion } from './shelf'

/** Makes a shelf of part of a chart, by its positions. `taken`: ids on other shelves, which it must not use. */
export function publish(
  chart: Chart,
  positions: readonly string[],
  title: string,
  taken: ReadonlySet<string>,
): ShelfRegion {
  const { cues, ...part } = partOf(chart, positions)
  const region: ShelfRegion = {
    ...{ id: idFromName(title, taken), title, rules: [], variants: [], cautions: [] },
    ...part,
    ...(cues.length ? { cues } : {}),
  }
  return withFreshIds(region, taken)
}
