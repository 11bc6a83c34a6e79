import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Chart } from '../core/chart/chart'
import type { Diff } from '../core/chart/diff'
import type { ShelfRegion } from '../core/shelf/shelf'
import type { SlopeLayout } from '../core/slope/places'

/** A chart as it is kept. `revision` grows with every write, so that two tabs notice each other. */
export interface StoredChart {
  id: string
  chart: Chart
  revision: number
  /** Milliseconds since 1970. */
  savedAt: number
  /** Steps that are done: later ones have been undone. Counts from the chart's first step ever. */
  done: number
  /** Set while it lies in the bin. */
  removedAt?: number
}

/** A step that can be undone, or done again. */
export interface StoredStep {
  chart: string
  number: number
  label: string
  diff: Diff
}

/** How a chart was last looked at: nothing of the plan, so it is no step that could be undone. */
export interface StoredView {
  chart: string
  layout: SlopeLayout | null
  /** Keys of the bands that are folded. */
  folded: string[]
}

/** A shelf of the coach's own. */
export interface StoredShelf {
  id: string
  region: ShelfRegion
  /** Set while it lies in the bin. */
  removedAt?: number
}

interface Schema extends DBSchema {
  shelves: { key: string; value: StoredShelf }
  charts: { key: string; value: StoredChart }
  steps: { key: [string, number]; value: StoredStep }
  views: { key: string; value: StoredView }
}

export type Database = IDBPDatabase<Schema>

const NAME = 'ataque'
const VERSION = 3

/** Opens the browser's store of charts. Rejects where there is none, as in some private modes. */
export function openDatabase(name = NAME): Promise<Database> {
  return openDB<Schema>(name, VERSION, {
    upgrade(db, oldVersion) {
      if (oldVersion < 1) {
        db.createObjectStore('charts', { keyPath: 'id' })
        db.createObjectStore('steps', { keyPath: ['chart', 'number'] })
      }
      if (oldVersion < 2) db.createObjectStore('views', { keyPath: 'chart' })
      if (oldVersion < 3) db.createObjectStore('shelves', { keyPath: 'id' })
    },
    blocking(_current, _wanted, event) {
      ;(event.target as IDBDatabase).close()
    },
  })
}
