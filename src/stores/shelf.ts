import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { idsOnShelf, withFreshIds } from '../core/shelf/freshIds'
import { publish } from '../core/shelf/publish'
import { indexShelf, type ShelfIndex } from '../core/shelf/search'
import type { Principle } from '../core/shelf/principles'
import { joinRegions, type Shelf, type ShelfRegion } from '../core/shelf/shelf'
import { makeShelf, parseShelf } from '../core/shelf/shelfFile'
import { success, type Result } from '../core/problem'
import { openDatabase, type Database, type StoredShelf } from '../storage/database'
import { addShelf, forgetShelf, listShelves, setShelfRemoved } from '../storage/ownShelves'

import PRINCIPLES from '../shelf/general/principles.json'

const FILES = import.meta.glob<ShelfRegion>('../shelf/*.json', { import: 'default' })
/** From the feet to the back, then the defences. */
const ORDER = [
  'standing',
  'front-headlock',
  'turtle-and-rides',
  'guard',
  'side-control',
  'knee-and-mount',
  'back',
  'back-escapes',
  'kimura',
]

/** The library that ships with the application, read when it is first asked for; and the coach's own shelves. */
export const useShelf = defineStore('shelf', () => {
  const builtIn = shallowRef<ShelfRegion[] | null>(null)
  const stored = shallowRef<StoredShelf[]>([])
  let db: Database | null = null
  let loading: Promise<void> | null = null
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque-shelves')

  function load(): Promise<void> {
    loading ??= read()
    return loading
  }

  async function read() {
    const regions = await Promise.all(Object.values(FILES).map((file) => file()))
    // Without a store of the browser's, shelves of one's own last as long as the page.
    db = await openDatabase().catch(() => null)
    await refresh()
    channel?.addEventListener('message', () => void refresh())
    builtIn.value = regions.sort((a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id))
  }

  async function refresh() {
    if (db) stored.value = await listShelves(db)
  }

  async function changed() {
    await refresh()
    channel?.postMessage('changed')
  }

  const own = computed(() => stored.value.filter(({ removedAt }) => !removedAt).map(({ region }) => region))
  const bin = computed(() => stored.value.filter(({ removedAt }) => removedAt).map(({ region }) => region))
  const shelf = computed<Shelf | null>(() => builtIn.value && joinRegions([...builtIn.value, ...own.value]))
  const index = computed<ShelfIndex | null>(() => shelf.value && indexShelf(shelf.value))

  /** Ids on any shelf, those in the bin too. */
  const taken = () => idsOnShelf(joinRegions([...(builtIn.value ?? []), ...own.value, ...bin.value]))

  async function keep(region: ShelfRegion): Promise<string> {
    if (db) await addShelf(db, region)
    else stored.value = [...stored.value, { id: region.id, region }]
    await changed()
    return region.id
  }

  /** Publishes positions of a chart, with what is tried from them, as a shelf of the coach's own; returns its id. */
  const publishFrom = (chart: Chart, positions: readonly string[], title: string): Promise<string> =>
    keep(publish(chart, positions, title, taken()))

  /** Takes in a shelf's file, under other ids where some are taken. */
  async function importText(text: string): Promise<Result<string>> {
    const parsed = parseShelf(text)
    return parsed.ok ? success(await keep(withFreshIds(parsed.value, taken()))) : parsed
  }

  async function remove(id: string, isRemoved: boolean) {
    const removedAt = isRemoved ? Date.now() : null
    if (db) await setShelfRemoved(db, id, removedAt)
    else
      stored.value = stored.value.map((one) =>
        one.id === id ? { id, region: one.region, ...(removedAt ? { removedAt } : {}) } : one,
      )
    await changed()
  }

  async function forget(id: string) {
    if (db) await forgetShelf(db, id)
    else stored.value = stored.value.filter((one) => one.id !== id)
    await changed()
  }

  const exportText = (id: string) => makeShelf(own.value.find((one) => one.id === id)!)
  return {
    ...{ shelf, index, own, bin, principles: PRINCIPLES as Principle[] },
    ...{ load, publishFrom, importText, remove, forget, exportText },
  }
})
