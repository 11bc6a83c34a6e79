import type { ChartData as Drawn, ChartDataset, ChartOptions, ChartType } from 'chart.js'
import { hundred } from '../../../core/say/figureText'
import type { ChartData, Series, Token, Value } from './picture'

/** Colours and the face of the page as they are now, since a canvas does not follow them. */
export interface Ink {
  of: Record<Token | 'ink' | 'line', string>
  face: string
}

const TOKENS = [
  ...(['ours', 'theirs', 'leak', 'trap', 'caution', 'muted', 'track', 'their-track', 'strong-line'] as const),
  ...(['ink', 'line'] as const),
]

/** Reads the colours of the page. */
export function readInk(): Ink {
  const style = getComputedStyle(document.documentElement)
  const of = Object.fromEntries(TOKENS.map((token) => [token, style.getPropertyValue(`--${token}`).trim()]))
  return { of: of as Ink['of'], face: style.getPropertyValue('--label').trim() }
}

/** Everything that the drawing library is told. */
interface Drawing {
  type: ChartType
  data: Drawn
  options: ChartOptions
}

/** What is drawn, for the library, in the colours of the page. Without motion: figures change while one types. */
export function drawingOf(data: ChartData, { of, face }: Ink, say: (value: number) => string): Drawing {
  const {
    kind,
    labels,
    series,
    isAcross = false,
    isStacked = false,
    along,
    value,
    isFree = false,
    isCounted = false,
    from,
  } = data
  const font = { family: face, size: 15 }
  const ticks = { color: of.muted, font, autoSkipPadding: 12 }
  const named = (text: string | undefined) => ({ display: Boolean(text), text: text ?? '', color: of.muted, font })
  const values = {
    ...{
      stacked: isStacked,
      beginAtZero: !isFree,
      grid: { color: of.line },
      title: named(value),
      ...(from === undefined ? {} : { min: from }),
    },
    ticks: { ...ticks, callback: (tick: string | number) => (isCounted ? String(tick) : hundred(Number(tick))) },
  }
  const names = {
    ...{ stacked: isStacked, grid: { display: false }, title: named(isAcross ? undefined : along) },
    ticks: { ...ticks, autoSkip: !isAcross },
  }
  return {
    type: kind === 'bars' ? 'bar' : 'line',
    data: {
      labels: [...labels],
      datasets: series.map((one, i) => ({
        ...datasetOf(one, kind, of),
        // Of what stands on the same place, what is said last is on top.
        ...(one.isOver ? { order: series.length - i } : {}),
      })),
    },
    options: {
      ...{ responsive: true, maintainAspectRatio: false, animation: false, indexAxis: isAcross ? 'y' : 'x' },
      scales: isAcross ? { x: values, y: names } : { x: names, y: values },
      plugins: {
        legend: { display: series.length > 1, labels: { color: of.ink, font, boxWidth: 18 }, position: 'bottom' },
        tooltip: {
          ...{ titleFont: font, bodyFont: font },
          callbacks: { label: ({ dataset, raw }) => `${dataset.label ?? ''}: ${said(raw as Value, say)}` },
        },
      },
    },
  }
}

const said = (value: Value, say: (one: number) => string) =>
  value === null ? '–' : typeof value === 'number' ? say(value) : `${say(value[0])} – ${say(value[1])}`

function datasetOf(
  { name, token, values, isDashed = false, isOver = false, joins = false }: Series,
  kind: string,
  of: Ink['of'],
) {
  const [color, data] = [of[token], values.map((one) => (Array.isArray(one) ? [...(one as number[])] : one))]
  const shared = { label: name, data, borderColor: color, backgroundColor: color }
  const line = {
    borderWidth: 3,
    pointRadius: 3,
    tension: 0.25,
    spanGaps: joins,
    ...(isDashed ? { borderDash: [6, 5] } : {}),
  }
  const bars = { maxBarThickness: 26, borderRadius: 3, grouped: !isOver }
  return { ...shared, ...(kind === 'bars' ? bars : line) } as ChartDataset
}
