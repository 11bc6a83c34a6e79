import type { ShelfRegion } from '../core/shelf/shelf'
import type { Database, StoredShelf } from './database'

/* The coach's own shelves. Each is written whole: nothing of one is changed after it was published or imported. */

export const listShelves = (db: Database): Promise<StoredShelf[]> => db.getAll('shelves')

/** Keeps a shelf. Rejects when its id is taken. */
export async function addShelf(db: Database, region: ShelfRegion): Promise<void> {
  await db.add('shelves', { id: region.id, region })
}

/** Puts a shelf in the bin, or (null) takes it out again. */
export async function setShelfRemoved(db: Database, id: string, removedAt: number | null): Promise<void> {
  const tx = db.transaction('shelves', 'readwrite')
  const stored = await tx.store.get(id)
  if (stored) await tx.store.put({ id, region: stored.region, ...(removedAt === null ? {} : { removedAt }) })
  await tx.done
}

/** Forgets a shelf for good. */
export const forgetShelf = (db: Database, id: string): Promise<void> => db.delete('shelves', id)
