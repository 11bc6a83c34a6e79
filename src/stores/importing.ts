import type { Chart } from '../core/chart/chart'
import { idFromName } from '../core/chart/ids'
import { parseChart } from '../core/files/chartFile'
import type { Problem } from '../core/problem'
import type { Edit } from '../storage/chartSession'
import type { ChartEntry } from '../storage/charts'

/** What became of a file that was to be imported. */
export type Imported =
  | { state: 'refused'; problems: Problem[] }
  /** A chart with this id is kept already: the coach must say which to do. */
  | { state: 'taken'; chart: Chart; title: string }
  | { state: 'added'; id: string }

interface Library {
  entries(): ChartEntry[]
  openId(): string | undefined
  add(chart: Chart): Promise<string>
  forget(id: string): Promise<void>
  open(id: string): Promise<void>
  edit(label: string, change: Edit): boolean
}

/** Takes charts in from files; nothing that is kept changes unless the coach says so. */
export function useImporting({ entries, openId, add, forget, open, edit }: Library) {
  /** Reads a chart file's text, and adds it where its id is free. */
  async function importText(text: string): Promise<Imported> {
    const read = parseChart(text)
    if (!read.ok) return { state: 'refused', problems: read.problems }
    const entry = entries().find(({ id }) => id === read.value.id)
    if (entry && !entry.removedAt) return { state: 'taken', chart: read.value, title: entry.title }
    if (entry) await forget(entry.id)
    return { state: 'added', id: await add(read.value) }
  }

  /** Beside the chart that has its id, under another. */
  async function importBeside(imported: Chart): Promise<void> {
    const taken = new Set(entries().map(({ id }) => id))
    await add({ ...imported, id: idFromName(imported.id, taken) })
  }

  /** In place of the chart that has its id, as one step of that chart that can be undone. */
  async function importOver(imported: Chart): Promise<void> {
    if (openId() !== imported.id) await open(imported.id)
    edit('Import', (draft) => {
      for (const key of Object.keys(draft)) delete (draft as unknown as Record<string, unknown>)[key]
      Object.assign(draft, imported)
    })
  }

  return { importText, importBeside, importOver }
}
