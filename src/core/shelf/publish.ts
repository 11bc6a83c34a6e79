import type { Chart } from '../chart/chart'
import { partOf } from '../chart/part'
import { idFromName } from '../document/ids'
import { withFreshIds } from './freshIds'
import type { ShelfRegion } from './shelf'

/** Who made a shelf, in their own words; under what others may use it; and which edition it is. */
export type ShelfAbout = Pick<ShelfRegion, 'author' | 'licence' | 'edition'>

/** Makes a shelf of part of a chart, by its positions. `taken`: ids on other shelves, which it must not use. */
export function publish(
  chart: Chart,
  positions: readonly string[],
  title: string,
  taken: ReadonlySet<string>,
  about: ShelfAbout = {},
): ShelfRegion {
  const { cues, ...part } = partOf(chart, positions)
  const region: ShelfRegion = {
    ...{ id: idFromName(title, taken), title, ...about, rules: [], variants: [], cautions: [] },
    ...part,
    ...(cues.length ? { cues } : {}),
  }
  return withFreshIds(region, taken)
}
