import { shallowRef } from 'vue'
import { CHART_EXTENSION } from '../../../core/files/chartFile'
import { MAX_BYTES } from '../../../core/files/guard'
import type { Problem } from '../../../core/problem'
import { useCharts } from '../../../stores/charts'
import type { Imported } from '../../../stores/importing'
import { downloadJson } from './download'

/** What the last file was that the coach has to know about or decide on. */
export interface Report {
  file: string
  problems?: Problem[]
  taken?: Extract<Imported, { state: 'taken' }>
}

const report = shallowRef<Report | null>(null)

/** Reads a file as a chart; what is open stays as it is unless the chart is good. */
export async function importFile(file: File): Promise<void> {
  const charts = useCharts()
  report.value = null
  if (file.size > MAX_BYTES) {
    const message = `the file is larger than ${MAX_BYTES / 1024 / 1024} MB`
    report.value = { file: file.name, problems: [{ code: 'too-large', path: [], message }] }
    return
  }
  const imported = await charts.importText(await file.text())
  if (imported.state === 'refused') report.value = { file: file.name, problems: imported.problems }
  else if (imported.state === 'taken') report.value = { file: file.name, taken: imported }
  else charts.tell(`Imported ${charts.chart?.title}.`)
}

export const useImport = () => ({ report, close: () => (report.value = null) })

/** Gives the open chart to the browser's downloads. */
export const downloadChart = (text: string, id: string): void => downloadJson(text, `${id}${CHART_EXTENSION}`)
