import { mkdirSync, writeFileSync } from 'node:fs'
import { basename, extname, join } from 'node:path'
import { emptyChart, type Chart } from '../core/chart/chart'
import { bareChart } from '../core/chart/shared'
import { idFromName } from '../core/document/ids'
import { makeChart, parseChart } from '../core/files/chartFile'
import { takeIncoming } from '../core/files/edits/takeIncoming'
import { isDocument } from '../core/files/in/document'
import { incomingOf } from '../core/files/in/incoming'
import type { CellError } from '../core/files/in/readTable'
import { dotOf } from '../core/files/out/dot'
import { graphOf } from '../core/files/out/graph'
import { graphmlOf } from '../core/files/out/graphml'
import { chartTables, csvOf, TABLE_NAMES } from '../core/files/out/tables'
import { writeChart } from '../core/notation/writeChart'
import { failure, problemText, type Problem, type Result } from '../core/problem'
import { chartAsMarkdown } from '../core/say/chartMarkdown'
import { fileAndOptions, readText, UsageError } from './usage'

const OPTIONS = {
  to: { type: 'string', default: 'json' },
  table: { type: 'string' },
  out: { type: 'string' },
} as const

const FORMS: Record<string, (chart: Chart) => string> = {
  json: makeChart,
  graphml: (chart) => graphmlOf(graphOf(chart)),
  dot: (chart) => dotOf(graphOf(chart)),
  markdown: chartAsMarkdown,
  lines: writeChart,
}

/** `convert FILE --to FORM`: a chart, a table, a graph or lines as a chart, or a chart in another form. */
export function convert(args: string[]): number {
  const { file, values } = fileAndOptions(args, OPTIONS)
  const { to, table, out } = values
  if (to !== 'csv' && !FORMS[to])
    throw new UsageError(`--to wants one of csv, ${Object.keys(FORMS).join(', ')}, not "${to}"`)
  if (table !== undefined && !TABLE_NAMES.some((name) => name === table))
    throw new UsageError(`--table wants one of ${TABLE_NAMES.join(', ')}, not "${table}"`)
  if (to === 'csv' && table === undefined && out === undefined)
    throw new UsageError('a chart is several tables: say which with --table NAME, or where to with --out FOLDER')
  const chart = chartIn(file)
  if (!chart.ok) {
    chart.problems.forEach((problem) => console.error(problemText(problem)))
    return 1
  }
  if (to === 'csv') writeTables(chart.value, table, out)
  else write(FORMS[to]?.(chart.value) ?? '', out)
  return 0
}

/** The chart in a file of any form that can be taken in. */
export function chartIn(file: string): Result<Chart> {
  const text = readText(file)
  if (!text.ok) return text
  if (isDocument(text.value)) {
    const read = parseChart(text.value)
    return read.ok ? { ok: true, value: bareChart(read.value) } : read
  }
  const read = incomingOf(file, text.value)
  const name = basename(file, extname(file))
  const chart = emptyChart(idFromName(name, new Set()), name)
  const taken = read.ok ? takeIncoming(chart, read.value) : read
  return taken.ok ? { ok: true, value: chart } : failure(...taken.errors.map(problemOf))
}

const problemOf = ({ line, column, message }: CellError): Problem => ({
  code: 'refused',
  path: [],
  message: `line ${line}${column ? `, ${column}` : ''}: ${message}`,
})

function writeTables(chart: Chart, only: string | undefined, out: string | undefined): void {
  const tables = chartTables(chart).filter(({ name }) => only === undefined || name === only)
  if (out === undefined) return tables.forEach((table) => write(csvOf(table), undefined))
  mkdirSync(out, { recursive: true })
  for (const table of tables) writeFileSync(join(out, `${table.name}.csv`), csvOf(table))
}

/** Writes a text into a file, or says it. */
export function write(text: string, out: string | undefined): void {
  if (out === undefined) console.log(text.replace(/\n$/, ''))
  else writeFileSync(out, text)
}
