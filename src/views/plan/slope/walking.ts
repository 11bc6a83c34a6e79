import { computed, ref } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import type { Figures } from '../../../core/insight/figures'
import { itemKey, partsOfItem, wholeOfItem, type Item } from '../../../core/slope/items'
import type { Scene } from '../../../core/slope/scene'

interface Ground {
  chart: () => Chart
  figures: () => Figures | null
  scene: () => Scene | null
  at: () => Item | undefined
  start: () => Item | undefined
  goTo: (item: Item) => void
}

/**
 * Moves the selection with the keys along the chart's structure: further along the chain (move, reaction, answer,
 * landing), back along the path taken, and between items side by side.
 */
export function useWalking({ chart, figures, scene, at, start, goTo }: Ground) {
  const trail = ref<Item[]>([])
  const siblings = computed((): Item[] => {
    const item = at()
    if (!item) return []
    const whole = before(item)
    if (item.kind === 'place') return placesOf(scene(), item.place)
    return whole ? partsOfItem(chart(), figures(), whole) : []
  })

  /** Back to the item before, if that leads here, else to the item that this one belongs to. */
  function before(item: Item): Item | undefined {
    const last = trail.value[trail.value.length - 1]
    const leadsHere = last && partsOfItem(chart(), figures(), last).some((part) => itemKey(part) === itemKey(item))
    return leadsHere ? last : wholeOfItem(chart(), item)
  }

  function into() {
    const item = at() ?? start()
    if (!item) return
    if (!at()) return void goTo(item)
    const [next] = partsOfItem(chart(), figures(), item)
    if (!next) return
    trail.value.push(item)
    goTo(next)
  }

  function back() {
    const item = at()
    const whole = item && before(item)
    trail.value.pop()
    if (whole) goTo(whole)
  }

  function aside(by: 1 | -1) {
    const item = at()
    if (!item) return void into()
    const keys = siblings.value.map(itemKey)
    const next = siblings.value[(keys.indexOf(itemKey(item)) + by + keys.length) % keys.length]
    if (next) goTo(next)
  }

  /** To the place where the move or the answer lands, or the attempt ends. */
  function land() {
    const item = at()
    const parts = item ? partsOfItem(chart(), figures(), item) : []
    const place = parts.find(({ kind }) => kind === 'place')
    if (!item || !place) return
    trail.value.push(item)
    goTo(place)
  }

  return { into, back, aside, land }
}

/** All places, band by band from the crest down, each from left to right. */
function placesOf(scene: Scene | null, place: string): Item[] {
  const ledges = scene?.ledges ?? []
  return ledges.some(({ id }) => id === place) ? ledges.map(({ id }) => ({ kind: 'place', place: id })) : []
}
