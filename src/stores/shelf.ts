import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { makeDocument } from '../core/document/read'
import { messageOf, success, type Result } from '../core/problem'
import { idsOnShelf, withFreshIds } from '../core/shelf/freshIds'
import type { Principle } from '../core/shelf/principles'
import { publish, type ShelfAbout } from '../core/shelf/publish'
import { indexShelf, type ShelfIndex } from '../core/shelf/search'
import { joinRegions, type Shelf, type ShelfRegion } from '../core/shelf/shelf'
import { ownShelf, SHELF_KIND, type OwnShelf } from '../core/shelf/shelfKind'
import { Connection } from '../storage/connection'
import { readKept } from '../storage/documents'
import { useCharts } from './charts'
import { useDocumentList } from './documentList'
import { useReading } from './reading'
import { readShelfFiles } from './shelfFiles'
import { t } from '../words'

import PRINCIPLES from '../shelf/general/principles.json' with { type: 'json' }

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
  const { tell } = useCharts()
  const builtIn = shallowRef<ShelfRegion[] | null>(null)
  /** The coach's own shelves, those in the bin too, by id. */
  const documents = shallowRef(new Map<string, OwnShelf>())
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque-shelves')
  const store = new Connection()
  const list = useDocumentList(SHELF_KIND, store, () => channel?.postMessage('changed'))
  let loading: Promise<void> | null = null

  function load(): Promise<void> {
    // What could not be read is asked for again the next time.
    loading ??= read().catch((error: unknown) => {
      loading = null
      throw error
    })
    return loading
  }

  async function read() {
    const regions = await readShelfFiles()
    // Without a store of the browser's, shelves of one's own last as long as the page.
    await refresh().catch(() => undefined)
    channel?.addEventListener('message', () => void refresh().catch(() => undefined))
    builtIn.value = regions.sort((a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id))
  }

  /** Shelves change only as a whole: those that are not known yet are read. */
  async function refresh() {
    await list.refresh()
    for (const { id } of list.entries.value) {
      if (documents.value.has(id)) continue
      const kept = await store.run((db) => readKept(db, SHELF_KIND, id))
      if (kept?.ok) documents.value = new Map(documents.value).set(id, kept.value.document)
    }
  }

  const known = (ids: readonly { id: string }[]) => ids.flatMap(({ id }) => documents.value.get(id) ?? [])
  const own = computed(() => known(list.kept.value))
  const bin = computed(() => known(list.bin.value))
  const shelf = computed<Shelf | null>(() => builtIn.value && joinRegions([...builtIn.value, ...own.value]))
  const index = computed<ShelfIndex | null>(() => shelf.value && indexShelf(shelf.value))

  /** Ids on any shelf, those in the bin too. */
  const taken = () => idsOnShelf(joinRegions([...(builtIn.value ?? []), ...own.value, ...bin.value]))

  async function keep(region: ShelfRegion): Promise<string> {
    const document = ownShelf(region)
    documents.value = new Map(documents.value).set(document.id, document)
    await list.add(document).catch((error: unknown) => {
      tell(t('keeping.documentLastsAsLongAsThis', { document: document.title, error: messageOf(error) }), 'warning')
    })
    return document.id
  }

  /** Publishes positions of a chart, with what is tried from them, as a shelf of the coach's own; returns its id. */
  const publishFrom = (
    chart: Chart,
    positions: readonly string[],
    title: string,
    about: ShelfAbout = {},
  ): Promise<string> => keep(publish(chart, positions, title, taken(), about))

  /** Takes in a shelf's file, under other ids where some are taken; null where the coach has stopped the reading. */
  async function importText(text: string): Promise<Result<string> | null> {
    const read = await useReading().read('shelf', text)
    return read?.ok ? success(await keep(withFreshIds(read.value, taken()))) : read
  }

  const exportText = (id: string): string => {
    const document = documents.value.get(id)
    return document ? makeDocument(document) : ''
  }
  return {
    ...{ shelf, index, own, bin, principles: PRINCIPLES as Principle[] },
    ...{ load, publishFrom, importText, remove: list.setInBin, forget: list.forget, exportText },
  }
})
