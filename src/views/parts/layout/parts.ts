import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSideBySide } from './room'

/** What a screen with a list has: the list, the sheet of what is chosen in it, and more about a part of the sheet. */
export type Part = 'list' | 'sheet' | 'about'

interface Parts {
  /** The only part that is shown; null where all stand side by side. */
  only: ComputedRef<Part | null>
  /** Goes to a part, which Back leaves again; nothing where all are in view. */
  show: (part: Part) => void
}

const KEY: InjectionKey<Parts> = Symbol('parts')

/** The part in view is kept in the address, so that Back and links work. `first`: what a screen opens with. */
export function provideParts(first: Part = 'sheet'): Parts {
  const route = useRoute()
  const router = useRouter()
  const isWide = useSideBySide()
  const only = computed((): Part | null => {
    if (isWide.value) return null
    const { part } = route.query
    return part === 'list' || part === 'sheet' || part === 'about' ? part : first
  })
  const show = (part: Part) => {
    if (only.value && only.value !== part) void router.push({ path: route.path, query: { ...route.query, part } })
  }
  const parts = { only, show }
  provide(KEY, parts)
  return parts
}

/** The parts of the screen around; a part that stands alone has all in view. */
export const useParts = (): Parts => inject(KEY, { only: computed(() => null), show: () => undefined })
