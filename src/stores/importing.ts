import type { Chart } from '../core/chart/chart'
import { replaceWith } from '../core/chart/edits/fields'
import type { Edit } from '../core/document/history'
import type { Problem } from '../core/problem'
import type { useDocumentList } from './documentList'
import type { Store } from '../storage/connection'
import { useReading } from './reading'
import { t } from '../words'

/** What became of a file that was to be imported. */
export type Imported =
  | { state: 'refused'; problems: Problem[] }
  /** A chart with this id is kept already: the coach must say which to do. */
  | { state: 'taken'; chart: Chart; title: string }
  | { state: 'added'; id: string }
  | { state: 'stopped' }

interface ImportingOptions {
  list: Pick<ReturnType<typeof useDocumentList<Chart>>, 'entries' | 'freshId'>
  forget: (id: string) => Promise<unknown>
  openId: () => string | undefined
  /** The open chart as it is kept. */
  chart: () => Chart | null
  add: (chart: Chart) => Promise<string>
  open: (id: string) => Promise<boolean>
  edit: (label: string, change: Edit<Chart>) => boolean
  store: Store
}

/** Takes charts in from files; nothing that is kept changes unless the coach says so. */
export function useImporting({ list, openId, chart, add, open, forget, edit, store }: ImportingOptions) {
  /** Fetched with the first file that comes or goes: nobody waits for it before. */
  const exchanging = async () => (await import('./exchanging')).useExchanging(store)
  /** Reads a chart file's text, and adds it where its id is free. */
  async function importText(text: string): Promise<Imported> {
    const read = await useReading().read('chart', text)
    if (!read) return { state: 'stopped' }
    if (!read.ok) return { state: 'refused', problems: read.problems }
    const entry = list.entries.value.find(({ id }) => id === read.value.id)
    if (entry && entry.removedAt === undefined) return { state: 'taken', chart: read.value, title: entry.title }
    if (entry) await forget(entry.id)
    return { state: 'added', id: await add(await (await exchanging()).takenIn(read.value, read.value.id)) }
  }

  /** Beside the chart that has its id, under another. */
  async function importBeside(imported: Chart): Promise<void> {
    const id = list.freshId(imported.id)
    await add(await (await exchanging()).takenIn(imported, id))
  }

  /** In place of the chart that has its id, as one step of that chart that can be undone. */
  async function importOver(imported: Chart): Promise<void> {
    if (openId() !== imported.id && !(await open(imported.id))) return
    const chart = await (await exchanging()).takenIn(imported, imported.id)
    edit(t('keeping.import'), (draft) => replaceWith(draft, chart))
  }

  /** Opens the chart that a file is of; what both began as, or null where nobody knows; undefined: it is not there. */
  async function openToMerge(file: Chart): Promise<Chart | null | undefined> {
    if (openId() !== file.id && !(await open(file.id))) return undefined
    const mine = chart()
    return mine ? (await exchanging()).baseOf(mine, file) : undefined
  }

  /** Puts what was merged in the place of the open chart, as one step that can be undone. */
  async function takeMerged(file: Chart, merged: Chart): Promise<boolean> {
    await (await exchanging()).takenIn(file, merged.id)
    return edit(t('keeping.merge'), (draft) => replaceWith(draft, merged))
  }

  /** The open chart as a file that others can take in, and that can be merged when it comes back. */
  async function fileText(): Promise<string> {
    const open = chart()
    return open ? (await exchanging()).fileOf(open) : ''
  }

  return { importText, importBeside, importOver, openToMerge, takeMerged, fileText }
}
