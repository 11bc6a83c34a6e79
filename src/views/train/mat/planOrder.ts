import { useStorage } from '@vueuse/core'
import { computed, watch, type Ref } from 'vue'
import type { Live } from '../../../core/club/live/liveRecords'
import { useFigures } from '../../../stores/figures'

/**
 * Moves in the order in which the plan preferred them when the block of a class began: frozen for the block, over a
 * reload too, so that fingers find them again.
 */
export function usePlanOrder(live: Readonly<Ref<Live | undefined>>) {
  const figures = useFigures()
  const block = () => `${live.value?.session ?? ''} ${live.value?.block ?? ''}`
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
