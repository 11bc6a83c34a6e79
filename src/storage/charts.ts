import type { Chart } from '../core/chart/chart'
import type { Database, StoredChart, StoredStep } from './database'

/* Charts as a whole: listing, adding, and the bin. What happens inside one is `ChartSession`'s. */

export interface ChartEntry {
  id: string
  title: string
  savedAt: number
  positions: number
  removedAt?: number
}

/** All charts, those in the bin too, the last saved first. */
export async function listCharts(db: Database): Promise<ChartEntry[]> {
  const stored = await db.getAll('charts')
  return stored
    .map(({ id, chart, savedAt, removedAt }) => ({
      ...{ id, title: chart.title, savedAt, positions: chart.positions.length },
      ...(removedAt ? { removedAt } : {}),
    }))
    .sort((a, b) => b.savedAt - a.savedAt)
}

/** Keeps a chart that is not kept yet. Rejects when its id is taken. */
export async function addChart(db: Database, chart: Chart, now: number): Promise<void> {
  await db.add('charts', { id: chart.id, chart, revision: 1, savedAt: now, done: 0 })
}

/** Puts a chart in the bin, or (null) takes it out again. */
export async function setRemoved(db: Database, id: string, removedAt: number | null): Promise<void> {
  const tx = db.transaction('charts', 'readwrite')
  const stored = await tx.store.get(id)
  if (stored) {
    const { id, chart, savedAt, done, revision } = stored
    await tx.store.put({
      id,
      chart,
      savedAt,
      done,
      revision: revision + 1,
      ...(removedAt === null ? {} : { removedAt }),
    })
  }
  await tx.done
}

/** Forgets a chart, its steps and how it was looked at, for good. */
export async function forgetChart(db: Database, id: string): Promise<void> {
  const tx = db.transaction(['charts', 'steps', 'views'], 'readwrite')
  await Promise.all([
    tx.objectStore('charts').delete(id),
    tx.objectStore('steps').delete(stepsOf(id)),
    tx.objectStore('views').delete(id),
    tx.done,
  ])
}

/** A chart with its steps, read as one. */
export async function readStored(
  db: Database,
  id: string,
): Promise<{ stored: StoredChart; steps: StoredStep[] } | null> {
  const tx = db.transaction(['charts', 'steps'])
  const [stored, steps] = await Promise.all([
    tx.objectStore('charts').get(id),
    tx.objectStore('steps').getAll(stepsOf(id)),
  ])
  return stored ? { stored, steps } : null
}

export const stepsOf = (chart: string, from = 0) => IDBKeyRange.bound([chart, from], [chart, Infinity])
