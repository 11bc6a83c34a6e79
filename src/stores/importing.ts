import type { Chart } from '../core/chart/chart'
import { replaceWith } from '../core/chart/edits/fields'
import type { Edit } from '../core/document/history'
import type { Problem } from '../core/problem'
import type { useDocumentList } from './documentList'
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
  add: (chart: Chart) => Promise<string>
  open: (id: string) => Promise<boolean>
  edit: (label: string, change: Edit<Chart>) => boolean
}

/** Takes charts in from files; nothing that is kept changes unless the coach says so. */
export function useImporting({ list, openId, add, open, forget, edit }: ImportingOptions) {
  /** Reads a chart file's text, and adds it where its id is free. */
  async function importText(text: string): Promise<Imported> {
    const read = await useReading().read('chart', text)
    if (!read) return { state: 'stopped' }
    if (!read.ok) return { state: 'refused', problems: read.problems }
    const entry = list.entries.value.find(({ id }) => id === read.value.id)
    if (entry && entry.removedAt === undefined) return { state: 'taken', chart: read.value, title: entry.title }
    if (entry) await forget(entry.id)
    return { state: 'added', id: await add(read.value) }
  }

  /** Beside the chart that has its id, under another. */
  async function importBeside(imported: Chart): Promise<void> {
    await add({ ...imported, id: list.freshId(imported.id) })
  }

  /** In place of the chart that has its id, as one step of that chart that can be undone. */
  async function importOver(imported: Chart): Promise<void> {
    if (openId() !== imported.id && !(await open(imported.id))) return
    edit(t('keeping.import'), (draft) => replaceWith(draft, imported))
  }

  return { importText, importBeside, importOver }
}
