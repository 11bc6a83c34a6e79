import { History, type Edit } from '../core/document/history'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import { failure, success, type Result } from '../core/problem'
import type { Store } from './connection'
import { storedOf, addDocument, readKept } from './documents'
import { writeDocument } from './writing'

/** All documents of some kinds that are kept and not in the bin; and how often any of them was written. */
export async function keptOf<N extends string>(
  store: Store,
  kinds: readonly N[],
): Promise<{ documents: { kind: N; document: AnyDocument }[]; writes: number }> {
  const rows = await Promise.all(
    kinds.map(async (kind) => (await store.run((db) => storedOf(db, { name: kind }))).map((row) => ({ ...row, kind }))),
  )
  const all = rows.flat().filter(({ removedAt }) => removedAt === undefined)
  return {
    documents: all.map(({ kind, document }) => ({ kind, document })),
    writes: rows.flat().reduce((sum, { revision }) => sum + revision, 0),
  }
}

/** Names a step for good that no tab has made. */
let restored = 0

/**
 * Puts a document in the place of the one that is kept, as one step of it that can be undone; or adds it where none is.
 * A problem where the one that is kept is not sound, or was written in between.
 */
export async function putDocument<D extends AnyDocument>(
  store: Store,
  kind: DocumentKind<D>,
  document: D,
  { label, edit, now }: { label: string; edit: Edit<D>; now: number },
): Promise<Result<null>> {
  const kept = await store.run((db) => readKept(db, kind, document.id))
  if (!kept) {
    await store.run((db) => addDocument(db, kind, document, now))
    return success(null)
  }
  if (!kept.ok) return kept
  const { revision } = kept.value
  const history = new History(kind, kept.value, 'restored')
  const applied = history.apply({ do: 'edit', label, mark: `restored.${now}.${restored++}`, edit })
  if (!applied.ok) return applied
  if (!applied.value) return success(null)
  const { steps, done } = history
  const unkept = { document: history.document, steps, done, from: applied.value.from, revision, savedAt: now }
  const written = await writeDocument(store, kind, unkept)
  if (written === 'kept') return success(null)
  return failure({ code: 'refused', path: [], message: `“${document.title}” was changed in the meantime` })
}
