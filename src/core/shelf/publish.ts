import type { Chart } from '../chart/chart'
import { partOf } from '../chart/part'
import { idFromName } from '../document/ids'
import type { ShelfRegion } from './shelf'

/** Who made a shelf, in their own words; under what others may use it; and which edition it is. */
export type ShelfAbout = Pick<ShelfRegion, 'author' | 'licence' | 'edition'>

/** Makes a shelf of part of a chart, by its positions, under the ids that the chart has for them. */
export function publish(
  chart: Chart,
  positions: readonly string[],
  title: string,
  about: ShelfAbout = {},
): ShelfRegion {
  const { cues, ...part } = partOf(chart, positions)
  const ids = [part.positions, part.holds, cues, part.moves, part.reactions].flat().map((one) => one.id)
  return {
    ...{ id: idFromName(title, new Set<string>(ids)), title, ...about, rules: [], variants: [], cautions: [] },
    ...part,
    ...(cues.length ? { cues } : {}),
  }
}
