import { present } from '../../sure'
import type { Chart, SlopeSettings } from '../chart'

/* How a chart is drawn: part of the chart, so that it is kept, exported and undone with it. */

function slopeOf(chart: Chart): SlopeSettings {
  chart.settings = { ...chart.settings, slope: { ...chart.settings?.slope } }
  return present(chart.settings.slope)
}

/** Puts places where the coach wants them. `places`: by id, the row within the band and the centre in pixels. */
export function putByHand(chart: Chart, places: Record<string, { row: number; x: number }>): void {
  const slope = slopeOf(chart)
  slope.places = { ...slope.places, ...places }
}

/** Lets the layout choose the places of these ids, or of all, again. */
export function letGo(chart: Chart, ids: readonly string[] = Object.keys(chart.settings?.slope?.places ?? {})): void {
  const slope = slopeOf(chart)
  const left = Object.entries(slope.places ?? {}).filter(([id]) => !ids.includes(id))
  if (left.length) slope.places = Object.fromEntries(left)
  else delete slope.places
}

/** Orders the bands from the crest down. */
export function orderBands(chart: Chart, keys: readonly string[]): void {
  slopeOf(chart).bands = [...keys]
}
