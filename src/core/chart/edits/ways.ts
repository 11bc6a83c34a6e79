import type { Chart, Way } from '../chart'

/** Chooses one way where schools differ, in place of the way chosen before for the same variant. */
export function chooseWay(chart: Chart, way: Way): void {
  keepAllWays(chart, way.variant)
  chart.settings = { ...chart.settings, ways: [...(chart.settings?.ways ?? []), way] }
}

/** Takes back the choice for a variant, so that the moves of all its ways are tried. */
export function keepAllWays(chart: Chart, variant: string): void {
  const { ways, ...settings } = chart.settings ?? {}
  const left = (ways ?? []).filter((way) => way.variant !== variant)
  chart.settings = left.length ? { ...settings, ways: left } : settings
}
