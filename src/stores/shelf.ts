import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { indexShelf, type ShelfIndex } from '../core/shelf/search'
import type { Principle } from '../core/shelf/principles'
import { joinRegions, type Shelf, type ShelfRegion } from '../core/shelf/shelf'

import PRINCIPLES from '../shelf/general/principles.json'

const FILES = import.meta.glob<ShelfRegion>('../shelf/*.json', { import: 'default' })
/** From the feet to the back, then the defences. */
const ORDER = ['standing', 'front-headlock', 'turtle-and-rides', 'guard', 'side-control', 'knee-and-mount', 'back', 'back-escapes', 'kimura'] // prettier-ignore

/** The library that ships with the application; read when it is first asked for. */
export const useShelf = defineStore('shelf', () => {
  const shelf = shallowRef<Shelf | null>(null)
  let loading: Promise<void> | null = null

  function load(): Promise<void> {
    loading ??= read()
    return loading
  }

  async function read() {
    const regions = await Promise.all(Object.values(FILES).map((file) => file()))
    shelf.value = joinRegions(regions.sort((a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id)))
  }

  const index = computed<ShelfIndex | null>(() => shelf.value && indexShelf(shelf.value))
  return { shelf, index, principles: PRINCIPLES as Principle[], load }
})
