import { computed, shallowRef } from 'vue'
import { idFromName } from '../core/document/ids'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import type { Store } from '../storage/connection'
import {
  addDocument,
  entryOf,
  forgetDocument,
  listDocuments,
  setRemoved,
  type DocumentEntry,
} from '../storage/documents'

/** All documents of a kind that are kept, those in the bin too. `announce` tells the other tabs. */
export function useDocumentList<D extends AnyDocument>(
  kind: DocumentKind<D>,
  store: Store,
  announce: (id: string) => void,
) {
  const stored = shallowRef<DocumentEntry[]>([])
  /** Those that are not in the store yet, or no longer: they last as long as the page. */
  const unkept = shallowRef<DocumentEntry[]>([])
  const entries = computed(() => [...without(unkept.value, stored.value), ...stored.value])
  const kept = computed(() => entries.value.filter(({ removedAt }) => removedAt === undefined))
  const bin = computed(() => entries.value.filter(({ removedAt }) => removedAt !== undefined))

  const isUnkept = (id: string) => unkept.value.some((one) => one.id === id)

  /** Rejects where the store cannot be read; the list is then as it was. */
  async function refresh(): Promise<void> {
    stored.value = await store.run((db) => listDocuments(db, kind))
    unkept.value = without(unkept.value, stored.value)
  }

  async function changed(id: string): Promise<void> {
    await refresh()
    announce(id)
  }

  /** A document was saved: its line in the list follows without reading all of them again. */
  function touch(document: D, at: number): void {
    const before = stored.value.find(({ id }) => id === document.id)
    const entry = binned(entryOf(kind, document, at), before?.removedAt ?? null)
    unkept.value = without(unkept.value, [entry])
    stored.value = [entry, ...without(stored.value, [entry])]
  }

  /** A document is there as the store does not have it yet. */
  function expect(document: D): void {
    const entry = entryOf(kind, document, Date.now())
    unkept.value = [entry, ...without(unkept.value, [entry])]
  }

  async function add(document: D): Promise<void> {
    expect(document)
    await store.run((db) => addDocument(db, kind, document, Date.now()))
    await changed(document.id)
  }

  /** Puts a document in the bin, or takes it out again. Rejects where that cannot be kept. */
  async function setInBin(id: string, isInBin: boolean): Promise<void> {
    const removedAt = isInBin ? Date.now() : null
    if (isUnkept(id))
      return void (unkept.value = unkept.value.map((one) => (one.id === id ? binned(one, removedAt) : one)))
    await store.run((db) => setRemoved(db, kind, id, removedAt))
    await changed(id)
  }

  /** Forgets a document for good. Rejects where that cannot be kept. */
  async function forget(id: string): Promise<void> {
    if (isUnkept(id)) return void (unkept.value = unkept.value.filter((one) => one.id !== id))
    await store.run((db) => forgetDocument(db, kind, id))
    await changed(id)
  }

  /** An id that no document of the kind has, those in the bin neither. */
  const freshId = (name: string): string => idFromName(name, new Set(entries.value.map(({ id }) => id)))

  return { entries, kept, bin, refresh, touch, expect, add, setInBin, forget, freshId }
}

const without = (entries: readonly DocumentEntry[], others: readonly DocumentEntry[]): DocumentEntry[] =>
  entries.filter((entry) => !others.some(({ id }) => id === entry.id))

function binned({ removedAt: _, ...entry }: DocumentEntry, removedAt: number | null): DocumentEntry {
  return removedAt === null ? entry : { ...entry, removedAt }
}
