import { ref } from 'vue'
import { Connection, StoreClosed } from '../storage/connection'

/**
 * The browser's store, and why it cannot be used at present. `read`: reads what the screens need of it, and `write`
 * writes what waits; both are done again as soon as it can be used.
 */
export function useKeeping(read: () => Promise<void>, write: () => Promise<void>) {
  /** Null while all is well. */
  const trouble = ref<StoreClosed | null>(null)
  const store = new Connection(undefined, () => void recover())
  let loading: Promise<void> | null = null

  /** Never rejects: what goes wrong is put into `trouble`. */
  const load = (): Promise<void> => (loading ??= readAll().finally(() => (loading = null)))

  async function readAll() {
    try {
      await read()
      trouble.value = null
    } catch (error) {
      trouble.value = error instanceof StoreClosed ? error : new StoreClosed('missing', error)
    }
  }

  /** The store was opened: if it could not be before, what is kept in it is there now. */
  async function recover() {
    if (!trouble.value || loading) return
    await load()
    await write()
  }

  /** Tries again whatever could not be read or written. */
  async function retry() {
    if (trouble.value) await load()
    await write()
  }

  return { store, trouble, load, retry }
}
