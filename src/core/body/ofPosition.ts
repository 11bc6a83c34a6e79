import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Position } from '../chart/position'
import { whoControls } from '../sides/frames'
import { figureOf, type Figure } from './body'

/** Positions and their holds, of a chart or of the Shelf. */
type Source = Pick<Chart, 'holds'>
const known = new WeakMap<Position, { holds: Source['holds']; figure: Figure | null }>()

/** The figure of a position with its own holds; null where its frame has none. Worked out once for each position. */
export function figureOfPosition({ holds }: Source, position: Position): Figure | null {
  const before = known.get(position)
  if (before && before.holds === holds) return before.figure
  const { frame, family, name, orientation = {}, ahead } = position
  const figure = figureOf({
    ...{ frame: frame ?? family, name, orientation, over: whoControls({ ahead, orientation }) },
    holds: (position.holds ?? []).flatMap((id) => lookUp(holds, id) ?? []),
  })
  known.set(position, { holds, figure })
  return figure
}
