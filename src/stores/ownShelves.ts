import { computed, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { makeDocument } from '../core/document/read'
import { messageOf, success, type Result } from '../core/problem'
import { idsOnShelf, withFreshIds } from '../core/shelf/freshIds'
import { publish, type ShelfAbout } from '../core/shelf/publish'
import type { ShelfRegion } from '../core/shelf/shelf'
import { ownShelf, SHELF_KIND, type OwnShelf } from '../core/shelf/shelfKind'
import { Connection } from '../storage/connection'
import { readKept } from '../storage/documents'
import { useCharts } from './charts'
import { useDocumentList } from './documentList'
import { useReading } from './reading'
import { t } from '../words'

/** What became of a shelf that was published or came as a file. */
export type TakenShelf =
  | { state: 'added' | 'known'; id: string }
  /** Another edition of one that is there: nothing is done yet. `file`: as it came. */
  | { state: 'edition'; old: OwnShelf; fresh: ShelfRegion; file: ShelfRegion }

/** The coach's own shelves: those that were published here, and those that came as files. */
export function useOwnShelves(builtIn: ShallowRef<readonly ShelfRegion[] | null>) {
  const { tell } = useCharts()
  /** Those in the bin too, by id. */
  const documents = shallowRef(new Map<string, OwnShelf>())
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque-shelves')
  const store = new Connection()
  const list = useDocumentList(SHELF_KIND, store, () => channel?.postMessage('changed'))
  const known = (ids: readonly { id: string }[]) => ids.flatMap(({ id }) => documents.value.get(id) ?? [])
  const own = computed(() => known(list.kept.value))
  const bin = computed(() => known(list.bin.value))

  /** Shelves change only as a whole: those that are not known yet are read. */
  async function refresh() {
    await list.refresh()
    for (const { id } of list.entries.value) {
      if (documents.value.has(id)) continue
      const kept = await store.run((db) => readKept(db, SHELF_KIND, id))
      if (kept?.ok) documents.value = new Map(documents.value).set(id, kept.value.document)
    }
  }

  /** Reads what is kept, and from now on what other tabs keep. */
  async function load() {
    // Without a store of the browser's, shelves of one's own last as long as the page.
    await refresh().catch(() => undefined)
    channel?.addEventListener('message', () => void refresh().catch(() => undefined))
  }

  /** Ids on any shelf, those in the bin too. */
  const taken = () => idsOnShelf([...(builtIn.value ?? []), ...own.value, ...bin.value])

  async function keep(region: ShelfRegion): Promise<string> {
    const document = ownShelf(region)
    documents.value = new Map(documents.value).set(document.id, document)
    await list.add(document).catch((error: unknown) => {
      tell(t('keeping.documentLastsAsLongAsThis', { document: document.title, error: messageOf(error) }), 'warning')
    })
    return document.id
  }

  /** Puts a shelf beside the others, under other ids where some are taken; returns its id. */
  const keepBeside = (region: ShelfRegion): Promise<string> => keep(withFreshIds(region, taken()))

  /** Puts another edition where the one before was, which goes to the bin; returns its id. */
  async function replace({ old, fresh }: { old: ShelfRegion; fresh: ShelfRegion }): Promise<string> {
    // In this order: what a closed tab leaves half done can be brought back from the bin.
    await list.setInBin(old.id, true)
    return keep(fresh)
  }

  /** Takes a shelf out of the bin again: under other ids, where another edition of it has come to stand there. */
  async function bringBack(id: string): Promise<void> {
    const document = documents.value.get(id)
    const standing = idsOnShelf([...(builtIn.value ?? []), ...own.value])
    const isReplaced = document && [...idsOnShelf([document])].some((one) => standing.has(one))
    if (!isReplaced) return list.setInBin(id, false)
    await keepBeside(document)
    await list.forget(id)
  }

  const exportText = (id: string): string => {
    const document = documents.value.get(id)
    return document ? makeDocument(document) : ''
  }
  return {
    ...{ own, bin, load },
    actions: {
      ...useTaking(own, taken, keepBeside),
      ...{ keepBeside, replace, exportText },
      ...{ remove: (id: string) => list.setInBin(id, true), bringBack, forget: list.forget },
    },
  }
}

/** Shelves that are published or come as files: taken, or offered where an edition of them is there. */
function useTaking(
  own: Ref<readonly OwnShelf[]>,
  taken: () => ReadonlySet<string>,
  keepBeside: (region: ShelfRegion) => Promise<string>,
) {
  /** Takes a shelf, unless an edition of it is there already: then nothing is done before the coach has chosen. */
  async function take(file: ShelfRegion): Promise<TakenShelf> {
    const { asEditionOf, editionDifferences, isEditionOf } = await import('../core/shelf/editions')
    const old = own.value.find((one) => isEditionOf(one, file))
    if (!old) return { state: 'added', id: await keepBeside(file) }
    const fresh = asEditionOf(old, file, taken())
    const isSame = fresh.edition === old.edition && !editionDifferences(old, fresh).length
    return isSame ? { state: 'known', id: old.id } : { state: 'edition', old, fresh, file }
  }

  /** Publishes positions of a chart, with what is tried from them, as a shelf of the coach's own. */
  const publishFrom = (
    chart: Chart,
    positions: readonly string[],
    title: string,
    about: ShelfAbout = {},
  ): Promise<TakenShelf> => take(publish(chart, positions, title, about))

  /** Takes in a shelf's file; null where the coach has stopped the reading. */
  async function importText(text: string): Promise<Result<TakenShelf> | null> {
    const read = await useReading().read('shelf', text)
    return read?.ok ? success(await take(read.value)) : read
  }

  return { publishFrom, importText }
}
