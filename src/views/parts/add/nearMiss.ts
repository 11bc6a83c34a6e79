import { ref, type Ref } from 'vue'
import type { NearMiss } from '../../../core/notation/near'

/**
 * Asks, before a text is said, whether a name in it that is nearly a charted one means that one. `missesIn`: the near
 * misses of a text; `say`: says the text.
 */
export function useNearMiss(text: Ref<string>, missesIn: (text: string) => NearMiss[], say: (text: string) => unknown) {
  /** The question that is open. */
  const asking = ref<NearMiss | null>(null)
  /** Names that were said to be new. */
  const fresh = new Set<string>()

  /** Whether something has to be asked first. */
  function asks(typed: string): boolean {
    asking.value = missesIn(typed).find(({ said }) => !fresh.has(said)) ?? null
    return asking.value !== null
  }

  function meant({ said, meant: charted }: NearMiss) {
    const at = text.value.toLowerCase().indexOf(said.toLowerCase())
    say(at < 0 ? text.value : text.value.slice(0, at) + charted + text.value.slice(at + said.length))
  }

  function isNew({ said }: NearMiss) {
    fresh.add(said)
    say(text.value)
  }

  return { asking, asks, meant, isNew }
}
