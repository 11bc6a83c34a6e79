import { computed, shallowRef, type Ref } from 'vue'
import { idFromName } from '../core/document/ids'
import type { AnyDocument, DocumentKind } from '../core/document/kind'
import type { Database } from '../storage/database'
import {
  addDocument,
  entryOf,
  forgetDocument,
  listDocuments,
  setRemoved,
  type DocumentEntry,
} from '../storage/documents'

/**
 * All documents of a kind that are kept, those in the bin too. Where the browser keeps nothing (`db` is null), what was
 * added lasts as long as the page. `announce` tells the other tabs.
 */
export function useDocumentList<D extends AnyDocument>(
  kind: DocumentKind<D>,
  db: Ref<Database | null>,
  announce: (id: string) => void,
) {
  const entries = shallowRef<DocumentEntry[]>([])
  const kept = computed(() => entries.value.filter(({ removedAt }) => removedAt === undefined))
  const bin = computed(() => entries.value.filter(({ removedAt }) => removedAt !== undefined))

  async function refresh(): Promise<void> {
    if (db.value) entries.value = await listDocuments(db.value, kind)
  }

  async function changed(id: string): Promise<void> {
    await refresh()
    announce(id)
  }

  /** A document was saved: its line in the list follows without reading all of them again. */
  function touch(document: D, at: number): void {
    entries.value = [entryOf(kind, document, at), ...entries.value.filter(({ id }) => id !== document.id)]
  }

  async function add(document: D): Promise<void> {
    if (!db.value) return void touch(document, Date.now())
    await addDocument(db.value, kind, document, Date.now())
    await changed(document.id)
  }

  /** Puts a document in the bin, or takes it out again. */
  async function setInBin(id: string, isInBin: boolean): Promise<void> {
    const removedAt = isInBin ? Date.now() : null
    if (db.value) await setRemoved(db.value, kind, id, removedAt)
    else entries.value = entries.value.map((entry) => (entry.id === id ? binned(entry, removedAt) : entry))
    await changed(id)
  }

  /** Forgets a document for good. */
  async function forget(id: string): Promise<void> {
    if (db.value) await forgetDocument(db.value, kind, id)
    else entries.value = entries.value.filter((entry) => entry.id !== id)
    await changed(id)
  }

  /** An id that no document of the kind has, those in the bin neither. */
  const freshId = (name: string): string => idFromName(name, new Set(entries.value.map(({ id }) => id)))

  return { entries, kept, bin, refresh, touch, add, setInBin, forget, freshId }
}

function binned({ removedAt: _, ...entry }: DocumentEntry, removedAt: number | null): DocumentEntry {
  return removedAt === null ? entry : { ...entry, removedAt }
}
