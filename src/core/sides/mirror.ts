import type { Chart } from '../chart/chart'

/*
 * The other side of a chart: every left is a right. Charts are authored for one side, in absolute left and right; the
 * other is only shown, and what is done to it is done to the chart as it is kept.
 */

/**
 * Words before which "right" and "left" are not sides: "right after", "left behind". One list for both, so that
 * mirroring twice gives the text back.
 */
const NO_SIDE = 'after|away|before|behind|here|now|out|there|through|over'
const SIDE = new RegExp(`\\b(left|right)\\b(?!\\s+(?:${NO_SIDE})\\b)`, 'gi')
const OTHER: Record<string, string> = {
  left: 'right',
  right: 'left',
  Left: 'Right',
  Right: 'Left',
  LEFT: 'RIGHT',
  RIGHT: 'LEFT',
}

/** The text with left and right swapped. Mirroring twice gives the text back. */
export const mirrorText = (text: string): string => text.replace(SIDE, (word) => OTHER[word] ?? word)

/** Fields with ids or keywords, which stay as they are even where they contain a side. */
const NAMES = new Set([
  ...['id', 'format', 'family', 'kind', 'ahead', 'by', 'frame', 'mirror'],
  ...['from', 'to', 'endsIn', 'stallsIn', 'elsewhere', 'reaction', 'move', 'start', 'goal', 'remark', 'position'],
  ...['holds', 'needs', 'adds', 'drops', 'keeps', 'strips', 'breaks', 'bands', 'hold', 'next', 'when'],
])

const isName = (key: string, value: unknown) =>
  NAMES.has(key) &&
  (typeof value === 'string' || (Array.isArray(value) && value.every((one) => typeof one === 'string')))

/** Original to mirrored and back, so that an unchanged record keeps its identity through two mirrorings. */
const mirrored = new WeakMap<object, object>()

function mirror(value: unknown): unknown {
  if (typeof value === 'string') return mirrorText(value)
  if (typeof value !== 'object' || value === null) return value
  const known = mirrored.get(value)
  if (known) return known
  const other = Array.isArray(value)
    ? value.map(mirror)
    : Object.fromEntries(Object.entries(value).map(([key, one]) => [key, isName(key, one) ? one : mirror(one)]))
  mirrored.set(value, other)
  mirrored.set(other, value)
  return other
}

/** The chart with left and right swapped. The chart must be immutable; mirroring twice returns the same object. */
export const mirrorChart = (chart: Chart): Chart => mirror(chart) as Chart
