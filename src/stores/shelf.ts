import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Principle } from '../core/shelf/principles'
import { indexShelf, type ShelfIndex } from '../core/shelf/search'
import { joinRegions, type Shelf, type ShelfRegion } from '../core/shelf/shelf'
import { useOwnShelves } from './ownShelves'
import { readShelfFiles } from './shelfFiles'

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
  const builtIn = shallowRef<ShelfRegion[] | null>(null)
  const { own, bin, load: loadOwn, actions } = useOwnShelves(builtIn)
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
    await loadOwn()
    builtIn.value = regions.sort((a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id))
  }

  const shelf = computed<Shelf | null>(() => builtIn.value && joinRegions([...builtIn.value, ...own.value]))
  const index = computed<ShelfIndex | null>(() => shelf.value && indexShelf(shelf.value))

  return { shelf, index, own, bin, principles: PRINCIPLES as Principle[], load, ...actions }
})
