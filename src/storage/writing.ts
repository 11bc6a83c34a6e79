import type { Past } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import type { Store } from './connection'
import { stepsOf } from './database'
import { inTransaction } from './transaction'

/** What is to be kept of an open document. */
export interface Unkept<D> extends Past<D> {
  /** The number of the first step that the store has otherwise or not at all; Infinity where it has all. */
  from: number
  /** Of what the store should have now; 0: nothing. */
  revision: number
  /** Milliseconds since 1970. */
  savedAt: number
}

/** `changed`, `forgotten`: another tab was there before, so that nothing was written. */
export type Written = 'kept' | 'changed' | 'forgotten'

/** Keeps a document and its steps in one transaction, if the store has the revision that they go on from. */
export const writeDocument = <D extends AnyDocument>(
  store: Store,
  { name, normalisers }: DocumentKind<D>,
  { document, steps, done, from, revision, savedAt }: Unkept<D>,
): Promise<Written> =>
  store.run((db) =>
    inTransaction(db, ['documents', 'steps'], async (tx, write): Promise<Written> => {
      const [documents, stepStore] = [tx.objectStore('documents'), tx.objectStore('steps')]
      const { id } = document
      const kept = await documents.get([name, id])
      if (!kept && revision > 0) return 'forgotten'
      if ((kept?.revision ?? 0) !== revision) return 'changed'
      const removed = kept?.removedAt === undefined ? {} : { removedAt: kept.removedAt }
      const row = { kind: name, id, document, normalised: normalisers.length, done, ...removed }
      write(documents.put({ ...row, revision: revision + 1, savedAt }))
      if (from < Infinity) write(stepStore.delete(stepsOf(name, id, from)))
      for (const step of steps) if (step.number >= from) write(stepStore.put({ ...step, kind: name, id }))
      const oldest = steps[0]?.number ?? 0
      if (oldest > 0) write(stepStore.delete(IDBKeyRange.bound([name, id, 0], [name, id, oldest], false, true)))
      return 'kept'
    }),
  )
