import { scenarioLine } from '../../parts/print/scenarioLine'
import type { Chart } from '../../../core/chart/chart'
import { language } from '../../../words'
import { t } from '../../../words/slope'
import type { Captions } from './saving'

/** A mark of the picture in words; its colour, as a token, doubles its form. */
export interface LegendItem {
  mark: 'move' | 'their-move' | 'line' | 'fall' | 'rise' | 'open'
  token: string
  text: string
}

export const PLAN_LEGEND: readonly LegendItem[] = [
  { mark: 'move', token: '--track', text: t('slope.legendMove') },
  { mark: 'fall', token: '--leak', text: t('slope.legendFall') },
  { mark: 'rise', token: '--trap', text: t('slope.legendRise') },
]
export const THEIR_LEGEND: readonly LegendItem[] = [
  { mark: 'their-move', token: '--their-track', text: t('slope.legendTheirMove') },
]
export const ALL_LEGEND: readonly LegendItem[] = [
  { mark: 'line', token: '--ours', text: t('slope.legendLine') },
  { mark: 'fall', token: '--leak', text: t('slope.legendFall') },
  { mark: 'rise', token: '--trap', text: t('slope.legendRise') },
  { mark: 'open', token: '--caution', text: t('slope.legendOpen') },
]

/** What a saved picture says: which chart in which scenario, on which day, and what its marks mean. */
export function captionsOf(chart: Chart, isFlipped: boolean, legend: readonly LegendItem[]): Captions {
  const tokens = getComputedStyle(document.documentElement)
  return {
    head: `${scenarioLine(chart, isFlipped)} · ${new Date().toLocaleDateString(language, { dateStyle: 'long' })}`,
    legend: legend.map(({ token, text }) => ({ color: tokens.getPropertyValue(token), text })),
  }
}
