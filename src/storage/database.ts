import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb'
import type { AnyDocument } from '../core/document/kind'
import type { Step } from '../core/document/history'
import type { OldPast } from '../core/document/modernise'
import type { SlopeLayout } from '../core/slope/places'

/** A document as it is kept. `revision` grows with every write, so that two tabs notice each other. */
export interface StoredDocument {
  /** The name of its kind. */
  kind: string
  id: string
  document: AnyDocument
  /** How many normalisers of its kind it has passed, with its steps; absent where an earlier build wrote it. */
  normalised?: number
  revision: number
  /** Milliseconds since 1970. */
  savedAt: number
  /** The number of the first step that is not done: later ones have been undone. */
  done: number
  /** Set while it lies in the bin. */
  removedAt?: number
}

/** A step that can be undone, or done again, of a document. */
export interface StoredStep extends Omit<Step, 'diff'> {
  kind: string
  id: string
  /** In the form of the build that wrote it, until the document has been read. */
  diff: OldPast['steps'][number]['diff']
}

/** How a chart was last looked at: nothing of the plan, so it is no step that could be undone. */
export interface StoredView {
  chart: string
  layout: SlopeLayout | null
  /** Keys of the bands that are folded. */
  folded: string[]
}

export interface Schema extends DBSchema {
  documents: { key: [kind: string, id: string]; value: StoredDocument }
  steps: { key: [kind: string, id: string, number: number]; value: StoredStep }
  views: { key: string; value: StoredView }
}

export type Database = IDBPDatabase<Schema>

export const NAME = 'ataque'
const VERSION = 4

export interface OpeningEvents {
  /** It was closed: by the browser, or to let a newer build in another tab change it. */
  closed?: () => void
  /** Another tab with an earlier build holds it open; it is opened once that one lets go. */
  blocked?: () => void
}

/**
 * Opens the browser's store. Rejects where there is none, as in some private modes, and with a `VersionError` where a
 * newer build has changed it.
 */
export async function openDatabase(name = NAME, { closed, blocked }: OpeningEvents = {}): Promise<Database> {
  return openDB<Schema>(name, VERSION, {
    upgrade(db, oldVersion, _newVersion, tx) {
      // Whatever fails in it must leave the old stores as they are; that it was aborted is told by opening.
      tx.done.catch(() => undefined)
      upgrade(db, oldVersion, tx as unknown as Upgrade).catch(() => tx.abort())
    },
    blocked: () => blocked?.(),
    blocking(_current, _wanted, event) {
      ;(event.target as IDBDatabase).close()
      closed?.()
    },
    terminated: () => closed?.(),
  })
}

async function upgrade(db: Database, oldVersion: number, tx: Upgrade): Promise<void> {
  const old = await takeOut(db as unknown as IDBPDatabase, tx)
  const documents = db.createObjectStore('documents', { keyPath: ['kind', 'id'] })
  const steps = db.createObjectStore('steps', { keyPath: ['kind', 'id', 'number'] })
  if (oldVersion < 2) db.createObjectStore('views', { keyPath: 'chart' })
  for (const document of old.documents) await documents.put(document)
  for (const step of old.steps) await steps.put(step)
}

type Upgrade = IDBPTransaction<unknown, string[], 'versionchange'>

/**
 * What versions 1 to 3 kept, a store a kind, as rows of today: nothing of a document is changed here. All of it happens
 * in the one transaction of the upgrade, so that the old stores stay until the new ones are written.
 */
async function takeOut(db: IDBPDatabase, tx: Upgrade): Promise<{ documents: StoredDocument[]; steps: StoredStep[] }> {
  const all = async (name: string): Promise<unknown[]> => {
    if (!db.objectStoreNames.contains(name)) return []
    const records: unknown[] = await tx.objectStore(name).getAll()
    db.deleteObjectStore(name)
    return records
  }
  const charts = (await all('charts')) as (Omit<StoredDocument, 'kind' | 'document'> & { chart: AnyDocument })[]
  const steps = (await all('steps')) as (Omit<StoredStep, 'kind' | 'id'> & { chart: string })[]
  const shelves = (await all('shelves')) as { id: string; region: AnyDocument; removedAt?: number }[]
  return {
    documents: [
      ...charts.map(({ chart, ...rest }) => ({ kind: 'chart', ...rest, document: chart })),
      ...shelves.map(({ id, region, removedAt }) => ({
        ...{ kind: 'shelf', id, revision: 1, savedAt: 0, done: 0 },
        document: { format: 'ataque-shelf', version: 1, ...region },
        ...(removedAt === undefined ? {} : { removedAt }),
      })),
    ],
    steps: steps.map(({ chart, ...rest }) => ({ kind: 'chart', id: chart, ...rest })),
  }
}

/** The keys of a document's steps, from a number on. */
export const stepsOf = (kind: string, id: string, from = 0): IDBKeyRange =>
  IDBKeyRange.bound([kind, id, from], [kind, id, Infinity])

/** The keys of the states of a chart that were given away, or taken in. */
export const statesOf = (direction: 'given' | 'taken', chart: string): IDBKeyRange =>
  IDBKeyRange.bound([direction, `${chart} `], [direction, `${chart} \uffff`])
