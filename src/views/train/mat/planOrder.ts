import { shallowReactive } from 'vue'
import { useFigures } from '../../../stores/figures'

/** Moves in the order of the plan, by block and position: frozen for the block, so that fingers find them again. */
const frozen = shallowReactive(new Map<string, string[]>())

/** The order in which the plan prefers the moves of a position now, or as it did when the block first asked. */
export function usePlanOrder(block: () => string) {
  const figures = useFigures()
  return (position: string | undefined): string[] => {
    const { figures: known } = figures
    if (position === undefined || !known) return []
    const key = `${block()} ${position}`
    const kept = frozen.get(key)
    if (kept) return kept
    const order = Object.entries(known.moves)
      .sort(([, a], [, b]) => (b.value ?? -Infinity) - (a.value ?? -Infinity))
      .map(([id]) => id)
    frozen.set(key, order)
    return order
  }
}
