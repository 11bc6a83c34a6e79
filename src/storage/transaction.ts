import type { IDBPTransaction, StoreNames } from 'idb'
import type { Database, Schema } from './database'

type Stores = StoreNames<Schema>[]
type Writable<S extends Stores> = IDBPTransaction<Schema, S, 'readwrite'>

/**
 * Does work in one transaction that writes, and resolves once it is kept. `write` takes each request as it is made.
 * Whatever is thrown, in between or by a request, aborts the transaction before it is passed on: all of it is kept, or
 * nothing.
 */
export async function inTransaction<S extends Stores, T>(
  db: Database,
  stores: S,
  work: (tx: Writable<S>, write: (request: Promise<unknown>) => void) => T | Promise<T>,
): Promise<T> {
  const tx = db.transaction(stores, 'readwrite')
  const requests: Promise<unknown>[] = []
  const write = (request: Promise<unknown>) => {
    // It is waited for below; one that is aborted before must not count as unheard.
    request.catch(() => undefined)
    requests.push(request)
  }
  try {
    const result = await work(tx, write)
    await Promise.all(requests)
    await tx.done
    return result
  } catch (error) {
    await abort(tx)
    throw error
  }
}

/** Resolves once nothing more of the transaction can be kept. */
async function abort(tx: { abort: () => void; done: Promise<unknown> }): Promise<void> {
  try {
    tx.abort()
  } catch {
    // It had come to its end by itself: aborted, since otherwise nothing would have been thrown.
  }
  await tx.done.catch(() => undefined)
}
