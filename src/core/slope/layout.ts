import { present } from '../sure'
import { arrange } from './arrange'
import { joinLayout } from './joinLayout'
import type { LayoutTask, SlopeLayout } from './places'

/** Lays a chart out, or finds room for what is new in the layout that there is. */
export function layOutSlope(task: LayoutTask): SlopeLayout {
  const isKnown = task.bands.some(({ key, places }) => places.some(({ id }) => task.known?.places[id]?.band === key))
  return joinLayout(task, isKnown ? present(task.known) : arrange(task))
}
