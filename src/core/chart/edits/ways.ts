import type { Chart, Way } from '../chart'

/** Chooses one way where schools differ, in place of the one chosen before. */
export function chooseWay(chart: Chart, way: Way): void {
  keepAllWays(chart, way.variant)
  chart.settings = { ...chart.settings, ways: [...(chart.settings?.ways ?? []), way] }
}

/** No way is chosen: the moves of all of them are tried. */
export function keepAllWays(chart: Chart, variant: string): void {
  const { ways, ...settings } = chart.settings ?? {}
  const left = (ways ?? []).filter((way) => way.variant !== variant)
  chart.settings = left.length ? { ...settings, ways: left } : settings
}
