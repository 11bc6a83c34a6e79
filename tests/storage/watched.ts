import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { moveIn } from '../../src/core/chart/edits/find'
import type { Edit } from '../../src/core/document/history'
import { readChart } from '../../src/core/files/chartFile'
import { namedMessage, type Problem } from '../../src/core/problem'
import { openDatabase, type Database } from '../../src/storage/database'
import { DocumentEditor, type Saving } from '../../src/storage/documentEditor'
import { addDocument, readKept, type Kept } from '../../src/storage/documents'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'
import { storeOf, tabName } from './storeOf'

let count = 0
export const fresh = () => openDatabase(`test-${++count}`)
export const sound = (): Chart => taken(readChart(soundChart()))

/** An editor, and all that it has told. */
export interface Watched {
  editor: DocumentEditor<Chart>
  refused: string[]
  savings: Saving[]
  lost: string[]
  from: string[]
  retries: (() => void)[]
}

/** Opens the chart as a tab of its own does; `others`: tabs that hear of what it saves. */
export async function open(db: Database, id = 'sound', others: Watched[] = [], kept?: Kept<Chart>): Promise<Watched> {
  const watched: Omit<Watched, 'editor'> = { savings: [], lost: [], from: [], retries: [], refused: [] }
  const events = {
    changed: (by: string) => watched.from.push(by),
    saving: (status: Saving) => watched.savings.push(status),
    refused: (label: string, problems: Problem[]) =>
      watched.refused.push(`${label}: ${problems.map(namedMessage).join('; ')}`),
    lost: (label: string, reason: string) => watched.lost.push(`${label}: ${reason}`),
  }
  const clock = {
    tab: tabName(),
    now: () => 1_700_000_000_000,
    later: (run: () => void) => watched.retries.push(run),
    announce: () => others.forEach(({ editor }) => void editor.refresh()),
  }
  const past = kept ?? taken((await readKept(db, CHART_KIND, id))!)
  const editor = new DocumentEditor(storeOf(db), CHART_KIND, past, events, clock)
  return { ...watched, editor }
}

/** A database with the sound chart in it. */
export async function kept(): Promise<Database> {
  const db = await fresh()
  await addDocument(db, CHART_KIND, sound(), 1)
  return db
}

export const lands =
  (n: number): Edit<Chart> =>
  (chart) =>
    void (moveIn(chart, 'step' as never).tries!.lands = n)
export const landsIn = ({ editor }: Watched) => editor.document.moves[0].tries!.lands
