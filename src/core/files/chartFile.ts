import type { Chart } from '../chart/chart'
import { CHART_KIND } from '../chart/chartKind'
import { makeDocument, parseDocument, readDocument } from '../document/read'
import type { Result } from '../problem'

/** The text of a chart's file. */
export const makeChart = (chart: Chart): string => makeDocument(chart)

/** The chart in a file's text, or every problem with its place. */
export const parseChart = (text: string): Result<Chart> => parseDocument(CHART_KIND, text)

/** The chart in parsed JSON, or every problem with its place. */
export const readChart = (data: unknown): Result<Chart> => readDocument(CHART_KIND, data)
