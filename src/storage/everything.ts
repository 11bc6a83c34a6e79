import { openDB } from 'idb'
import { NAME } from './database'

/**
 * Everything in the browser's store, by the name of each list, as JSON text: of whatever build wrote it, and read as it
 * is. Rejects where there is no store.
 */
export async function everythingKept(name = NAME): Promise<string> {
  const db = await openDB(name)
  try {
    const stores = [...db.objectStoreNames]
    const lists = await Promise.all(stores.map(async (store) => [store, await db.getAll(store)] as const))
    return JSON.stringify({ version: db.version, ...Object.fromEntries(lists) }, null, 2)
  } finally {
    db.close()
  }
}
