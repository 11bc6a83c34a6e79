import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { onScopeDispose, ref, watch } from 'vue'
import { CLUB_KIND, emptyClub, type Club } from '../core/club/clubKind'
import { problemText, type Result } from '../core/problem'
import { readKept } from '../storage/documents'
import { showsDocument } from './acting'
import type { Store } from '../storage/connection'
import { useCharts } from './charts'
import { useClubEstimates } from './clubEstimates'
import { LAST_CLUB } from './estimates'
import { useDocumentList } from './documentList'
import { useKeeping } from './keeping'
import { useOpenDocument } from './openDocument'
import type { Tell } from './news'
import { useReading } from './reading'
import { useTakingTallies } from './takingTallies'

/** Opens and takes in whole clubs. */
function useOpeningClubs(
  store: Store,
  list: ReturnType<typeof useDocumentList<Club>>,
  current: ReturnType<typeof useOpenDocument<Club>>,
  tell: Tell,
) {
  const lastOpen = useStorage(LAST_CLUB, '')

  /** Opens a club and returns whether it is open; one that is not sound is left as it is, and told. */
  async function open(id: string): Promise<boolean> {
    await current.flush()
    if (!current.resume(id)) {
      const kept = await store.run((db) => readKept(db, CLUB_KIND, id))
      if (kept && !kept.ok) tell(kept.problems.map(problemText).join('; '), 'warning')
      if (!kept?.ok) return false
      current.begin(store, kept.value)
    }
    lastOpen.value = id
    return true
  }

  async function openLast(): Promise<void> {
    const isLast = (id: string) => Number(id === lastOpen.value)
    for (const { id } of list.kept.value.toSorted((a, b) => isLast(b.id) - isLast(a.id))) if (await open(id)) return
  }

  /** Keeps a club that is not kept yet, under another id where its own is taken, and opens it. */
  async function add(added: Club): Promise<void> {
    const isTaken = list.entries.value.some(({ id }) => id === added.id)
    const document = isTaken ? { ...added, id: list.freshId(added.title) } : added
    list.expect(document)
    current.begin(store, { document, steps: [], done: 0, revision: 0, savedAt: 0, isModern: true })
    await current.flush()
    lastOpen.value = document.id
  }

  const create = (title: string) => add(emptyClub(list.freshId(title), title))

  /** Takes in a club's file; null where the coach has stopped the reading. */
  async function importText(text: string): Promise<Result<Club> | null> {
    const read = await useReading().read('club', text)
    if (read?.ok) await add(read.value)
    return read
  }
  return { open, openLast, add, create, importText }
}

/** The clubs that are kept, and the one that is open. One club is enough for most, so the last one opens by itself. */
export const useClubs = defineStore('clubs', () => {
  const { tell } = useCharts()
  const isReady = ref(false)
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque-clubs')
  const announce = (id: string) => channel?.postMessage({ id })

  const { store, trouble, load, retry } = useKeeping(
    async () => {
      await list.refresh()
      if (!current.document.value) await opening.openLast()
    },
    () => current.flush(),
  )
  const list = useDocumentList(CLUB_KIND, store, announce)
  const current = useOpenDocument(CLUB_KIND, { tell, announce, saved: list.touch })
  const opening = useOpeningClubs(store, list, current, tell)
  const { document: club, saving, steps, refused, unsaved, edit, editForGood, undo, redo, exportText } = current

  let starting: Promise<void> | null = null
  /** Opens the store of clubs and the club that was open last. */
  const start = (): Promise<void> => (starting ??= begin())

  async function begin() {
    channel?.addEventListener('message', ({ data }) => void hear(data as { id: string }))
    await load()
    isReady.value = true
  }

  /** Another tab saved a club. */
  async function hear({ id }: { id: string }) {
    await list.refresh().catch(() => undefined)
    if (id === club.value?.id) await current.refresh().catch(() => undefined)
  }

  useClubEstimates(() => club.value)
  useTakingTallies(club, edit)
  watch(refused, (edit) => edit && tell(edit.problems.map(problemText).join('; '), 'warning'))

  const acting = { steps, undo, redo, saving, unsaved, retry }
  /** While a screen of the club is shown, Undo and what is kept are about the club. `shows` returns what ends that. */
  const shows = () => showsDocument(acting)
  const onScreen = () => onScopeDispose(shows())

  return {
    ...{ club, isReady, trouble, saving, steps, unsaved, entries: list.kept },
    ...{ ...opening, start, edit, editForGood, undo, redo, retry, exportText, shows, onScreen },
  }
})
