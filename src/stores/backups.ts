import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { KindName } from '../core/files/documentKinds'
import { Connection } from '../storage/connection'
import { giveAway } from './givenAway'
import { chooseFolder, chosenFolder, writeInto, type Folder } from '../storage/folder'
import { keptOf } from '../storage/restoring'

/** What is backed up. */
export const KINDS_KEPT: readonly KindName[] = ['chart', 'shelf', 'club', 'pack']
const A_DAY = 86_400_000

/** Reminds after so many days if anything was changed, and after so many changes whatever the day. */
const [AFTER_DAYS, AFTER_CHANGES] = [14, 300]
/** So long a reminder that was put off stays away. */
const PUT_OFF = 3 * A_DAY

/** Backups of everything that is kept here: when the last was, whether one is due, where they go, and the way back. */
export const useBackups = defineStore('backups', () => {
  const store = new Connection()
  /**
   * When the last was made (where none was: when it was first looked for), how often anything had been written then,
   * and until when nobody is to be reminded.
   */
  const last = useStorage('ataque-backup', { at: 0, writes: 0, putOffUntil: 0, isMade: false })
  const writes = ref(0)
  const now = ref(Date.now())
  const folder = shallowRef<Folder | null>(null)
  const changes = computed(() => Math.max(0, writes.value - last.value.writes))
  const days = computed(() => Math.floor((now.value - last.value.at) / A_DAY))
  const isDue = computed(
    () =>
      now.value >= last.value.putOffUntil &&
      (changes.value >= AFTER_CHANGES || (days.value >= AFTER_DAYS && changes.value > 0)),
  )

  /** Looks how much has changed since the last backup. Who has never made one is first reminded after the same time. */
  async function look(): Promise<void> {
    const kept = await keptOf(store, KINDS_KEPT).catch(() => null)
    if (!kept) return
    now.value = Date.now()
    writes.value = kept.writes
    if (!last.value.at) last.value = { at: now.value, writes: kept.writes, putOffUntil: 0, isMade: false }
    folder.value = (await store.run(chosenFolder).catch(() => undefined)) ?? null
  }

  /** A backup of everything, as its name and its bytes. */
  async function make(): Promise<{ name: string; bytes: Uint8Array<ArrayBuffer> }> {
    const { documents, writes: written } = await keptOf(store, KINDS_KEPT)
    const at = Date.now()
    // Only who makes one needs what it takes.
    const { makeBackup } = await import('../core/files/backup')
    const bytes = makeBackup(documents, at)
    const name = `ataque-${new Date(at).toISOString().slice(0, 10)}.zip`
    const clubs = documents.flatMap(({ kind, document }) => (kind === 'club' ? [document.id] : []))
    made.value = { at, writes: written, name, clubs }
    return { name, bytes }
  }
  const made = ref({ at: 0, writes: 0, name: '', clubs: [] as string[] })

  /** The backup that was made has been put somewhere. */
  function keep(): void {
    const { at, writes: written, name, clubs } = made.value
    last.value = { at, writes: written, putOffUntil: 0, isMade: true }
    writes.value = written
    // Who is deleted from a club later is still in what was made before.
    for (const club of clubs) giveAway(club, name)
    now.value = Date.now()
  }

  /** Writes a backup into the chosen folder. False where the browser does not let us. `isAsked`: the coach pressed. */
  async function intoFolder(isAsked: boolean): Promise<boolean> {
    const to = folder.value
    const mode = { mode: 'readwrite' } as const
    try {
      if (!to) return false
      const state = await (isAsked ? to.requestPermission(mode) : to.queryPermission(mode))
      if (state !== 'granted') return false
      const { name, bytes } = await make()
      await writeInto(to, name, bytes)
    } catch {
      return false
    }
    keep()
    return true
  }

  async function choose(chosen: Folder | null): Promise<void> {
    await store.run((db) => chooseFolder(db, chosen))
    folder.value = chosen
  }

  const putOff = (): void => void (last.value = { ...last.value, putOffUntil: Date.now() + PUT_OFF })

  return { last, changes, days, isDue, folder, look, make, keep, intoFolder, choose, putOff }
})
