import { isDocument } from '../../../core/files/in/document'
import { kindNameOf } from '../../../core/files/fileKinds'
import { MAX_BYTES } from '../../../core/document/guard'
import { decodeText } from '../../../core/document/text'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/files'
import { useReport } from './report'

const { report } = useReport()

/** Imports a file as the kind of document that it states; the open chart stays where the file is not valid. */
export async function takeIn(file: File): Promise<void> {
  report.value = null
  if (/\.zip$/i.test(file.name)) return takeInBackup(file)
  if (file.size > MAX_BYTES) {
    const message = t('files.theFileIsLargerThanMax', { maxBytes: MAX_BYTES / 1024 / 1024 })
    report.value = { file: file.name, problems: [{ code: 'too-large', path: [], message }] }
    return
  }
  const text = decodeText(new Uint8Array(await file.arrayBuffer()))
  if (!text.ok) return void (report.value = { file: file.name, problems: text.problems })
  if (!isDocument(text.value)) return takeInOther(file.name, text.value)
  const kind = kindNameIn(text.value)
  if (kind === 'shelf') return importShelf(file.name, text.value)
  if (kind === 'club') return importClub(file.name, text.value)
  if (kind === 'pack') return importPack(file.name, text.value)
  if (kind === 'answers') return importAnswers(file.name, text.value)
  const charts = useCharts()
  const imported = await charts.importText(text.value)
  if (imported.state === 'refused') report.value = { file: file.name, problems: imported.problems }
  else if (imported.state === 'taken') report.value = { file: file.name, taken: imported }
  else if (imported.state === 'added') charts.tell(t('files.importedChart', { chart: charts.chart?.title }))
}

/** What is pasted, if it looks like something that can be taken in: any other text is none of ours. */
export async function takeInPasted(text: string): Promise<void> {
  const { isForUs } = await import('../../../core/files/in/incoming')
  if (isForUs(text)) await takeIn(new File([text], t('files.pasted')))
}

/** A backup: what it would change is shown before anything is. */
async function takeInBackup(file: File): Promise<void> {
  await useCharts().start()
  const { readBackup } = await import('../../../core/files/backup')
  const read = readBackup(new Uint8Array(await file.arrayBuffer()))
  report.value = { file: file.name, ...(read.ok ? { backup: read.value } : { problems: read.problems }) }
}

/** Rows, a graph or lines: shown before anything is taken. */
async function takeInOther(file: string, text: string): Promise<void> {
  await useCharts().start()
  const { incomingOf } = await import('../../../core/files/in/incoming')
  const read = incomingOf(file, text)
  report.value = read.ok ? { file, incoming: read.value } : { file, errors: read.errors }
}

async function importShelf(file: string, text: string): Promise<void> {
  // The Shelf is large, and most who drop a file drop a chart.
  const { useShelf } = await import('../../../stores/shelf')
  const shelf = useShelf()
  await shelf.load()
  const imported = await shelf.importText(text)
  if (!imported) return
  if (!imported.ok) return void (report.value = { file, problems: imported.problems })
  const { value } = imported
  if (value.state === 'edition') report.value = { file, edition: value }
  else useCharts().tell(t(value.state === 'known' ? 'files.shelfIsHereAlready' : 'files.theShelfStandsOnTheShelf'))
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

/** Homework is opened where it is done. */
async function importPack(file: string, text: string): Promise<void> {
  const { useHomework } = await import('../../../stores/homework')
  const imported = await useHomework().importText(text)
  if (!imported) return
  if (!imported.ok) return void (report.value = { file, problems: imported.problems })
  useCharts().tell(t('files.homeworkIsHere', { title: imported.value.title }, imported.value.cards.length))
  location.hash = '#/rehearse'
}

/** Answers go to the log, and to the page of whose they are. */
async function importAnswers(file: string, text: string): Promise<void> {
  const { takeInAnswers } = await import('../../../stores/takingAnswers')
  const taken = await takeInAnswers(text)
  if (!taken) return
  if (!taken.ok) return void (report.value = { file, problems: taken.problems })
  const { person, came, known } = taken.value
  location.hash = `#/people/page?person=${person.id}`
  useCharts().tell(
    came
      ? t('files.answersAreInTheLog', { name: person.name, known, of: came })
      : t('files.nothingNewOf', { name: person.name }),
    'info',
    'undo',
  )
}

function kindNameIn(text: string): string | undefined {
  try {
    return kindNameOf(JSON.parse(text))
  } catch {
    return undefined
  }
}
