import { shallowRef } from 'vue'
import { CHART_KIND } from '../../../core/chart/chartKind'
import { fileName, kindNameOf } from '../../../core/files/fileKinds'
import { MAX_BYTES } from '../../../core/document/guard'
import { decodeText } from '../../../core/document/text'
import type { Problem } from '../../../core/problem'
import { useCharts } from '../../../stores/charts'
import type { Imported } from '../../../stores/importing'
import { downloadJson } from './download'
import { t } from '../../../words'

/** The last imported file, where the coach has to be told of it or to decide. */
export interface Report {
  file: string
  problems?: Problem[]
  taken?: Extract<Imported, { state: 'taken' }>
}

const report = shallowRef<Report | null>(null)

/** Imports a file as the kind of document that it states; the open chart stays where the file is not valid. */
export async function importFile(file: File): Promise<void> {
  report.value = null
  if (file.size > MAX_BYTES) {
    const message = t('files.theFileIsLargerThanMax', { maxBytes: MAX_BYTES / 1024 / 1024 })
    report.value = { file: file.name, problems: [{ code: 'too-large', path: [], message }] }
    return
  }
  const text = decodeText(new Uint8Array(await file.arrayBuffer()))
  if (!text.ok) return void (report.value = { file: file.name, problems: text.problems })
  const kind = kindNameIn(text.value)
  if (kind === 'shelf') return importShelf(file.name, text.value)
  if (kind === 'club') return importClub(file.name, text.value)
  const charts = useCharts()
  const imported = await charts.importText(text.value)
  if (imported.state === 'refused') report.value = { file: file.name, problems: imported.problems }
  else if (imported.state === 'taken') report.value = { file: file.name, taken: imported }
  else if (imported.state === 'added') charts.tell(t('files.importedChart', { chart: charts.chart?.title }))
}

async function importShelf(file: string, text: string): Promise<void> {
  // The Shelf is large, and most who drop a file drop a chart.
  const { useShelf } = await import('../../../stores/shelf')
  const shelf = useShelf()
  await shelf.load()
  const imported = await shelf.importText(text)
  if (!imported) return
  if (!imported.ok) report.value = { file, problems: imported.problems }
  else useCharts().tell(t('files.theShelfStandsOnTheShelf'))
}

async function importClub(file: string, text: string): Promise<void> {
  const { useClubs } = await import('../../../stores/clubs')
  const clubs = useClubs()
  await clubs.start()
  const imported = await clubs.importText(text)
  if (!imported) return
  if (!imported.ok) report.value = { file, problems: imported.problems }
  else useCharts().tell(t('files.theClubIsUnderSessions', { club: imported.value.title }))
}

function kindNameIn(text: string): string | undefined {
  try {
    return kindNameOf(JSON.parse(text))
  } catch {
    return undefined
  }
}

export const useImport = () => ({ report, close: () => (report.value = null) })

/** Downloads the open chart as a file. */
export const downloadChart = (text: string, id: string): void => downloadJson(text, fileName(CHART_KIND, id))
