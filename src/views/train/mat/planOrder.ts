import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useFigures } from '../../../stores/figures'

/**
 * Moves in the order in which the plan preferred them when the block first asked: frozen for the block, over a reload
 * too, so that fingers find them again. `block`: what tells a block from all others.
 */
export function usePlanOrder(block: () => string) {
  const figures = useFigures()
  const frozen = useStorage<{ block: string; order: string[] }>('ataque-press-order', { block: '', order: [] })
  return computed((): string[] => {
    if (frozen.value.block === block()) return frozen.value.order
    const { figures: known } = figures
    if (!known) return []
    const order = Object.entries(known.moves)
      .sort(([, a], [, b]) => (b.value ?? -Infinity) - (a.value ?? -Infinity))
      .map(([id]) => id)
    frozen.value = { block: block(), order }
    return order
  })
}
