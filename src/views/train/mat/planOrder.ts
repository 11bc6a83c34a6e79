import { useStorage } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useFigures } from '../../../stores/figures'

/**
 * Moves in the order in which the plan preferred them when the block first asked: frozen for the block, over a reload
 * too, so that fingers find them again. `block`: what tells a block from all others.
 */
export function usePlanOrder(block: () => string) {
  const figures = useFigures()
  const frozen = useStorage<{ block: string; order: string[] }>('ataque-press-order', { block: '', order: [] })
  watch(
    () => [block(), figures.figures] as const,
    ([key, known]) => {
      if (!known || frozen.value.block === key) return
      const order = Object.entries(known.moves)
        .sort(([, a], [, b]) => (b.value ?? -Infinity) - (a.value ?? -Infinity))
        .map(([id]) => id)
      frozen.value = { block: key, order }
    },
    { immediate: true },
  )
  return computed(() => (frozen.value.block === block() ? frozen.value.order : []))
}
