import { makeChart } from '../../../core/files/chartFile'
import type { Chart } from '../../../core/chart/chart'
import { bareChart } from '../../../core/chart/shared'
import type { Club } from '../../../core/club/clubKind'
import { fileName, OUTPUTS } from '../../../core/files/fileKinds'
import { zipOf } from '../../../core/files/out/archive'
import { dotOf } from '../../../core/files/out/dot'
import { graphOf } from '../../../core/files/out/graph'
import { graphmlOf } from '../../../core/files/out/graphml'
import { logTables } from '../../../core/files/out/logTables'
import { chartTables, csvOf, type Table } from '../../../core/files/out/tables'
import { writeChart } from '../../../core/notation/writeChart'
import { chartAsMarkdown } from '../../../core/say/chartMarkdown'
import { download } from './download'

/** In what other forms a chart can be saved. */
export const FORMS = ['tables', 'graphml', 'dot', 'markdown', 'lines'] as const
export type Form = (typeof FORMS)[number]

const zipped = (tables: readonly Table[], more: readonly { path: string; text: string }[] = []) =>
  zipOf([...tables.map((table) => ({ path: `${table.name}.csv`, text: csvOf(table) })), ...more], Date.now())

/** Saves a chart in another form. */
export function saveChartAs(chart: Chart, form: Form): void {
  if (form === 'tables') {
    const whole = { path: `${chart.id}.ataque.json`, text: makeChart(bareChart(chart)) }
    const name = fileName(OUTPUTS.zip, chart.id, 'tables')
    return download(new Blob([zipped(chartTables(chart), [whole])], { type: OUTPUTS.zip.type }), name)
  }
  const text = { graphml: graphOfText, dot: dotOfText, markdown: chartAsMarkdown, lines: writeChart }[form](chart)
  download(new Blob([text], { type: OUTPUTS[form].type }), fileName(OUTPUTS[form], chart.id))
}

const graphOfText = (chart: Chart) => graphmlOf(graphOf(chart))
const dotOfText = (chart: Chart) => dotOf(graphOf(chart))

/** Saves the log of a club as tables; returns the name of the file. */
export function saveLog(club: Club, chart: Chart | null): string {
  const name = fileName(OUTPUTS.zip, club.id, 'log')
  download(new Blob([zipped(logTables(club, chart))], { type: OUTPUTS.zip.type }), name)
  return name
}
