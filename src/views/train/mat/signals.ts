import { ref, watch, type ComputedRef } from 'vue'
import { signalsBetween, type Signal } from '../../../core/club/live/clock'
import type { Block } from '../../../core/club/session'
import { lastOf } from '../../../core/sure'
import { sound } from './sound'

/** How long the whole screen shows a signal, in milliseconds. */
const FLASH = 1400

interface Watched {
  block: ComputedRef<Block | undefined>
  waves: ComputedRef<number>
  spent: ComputedRef<number>
}

/** Gives each signal of the clock once, to ears and eyes. After a sleep only the last of those that were missed. */
export function useSignals({ block, waves, spent }: Watched) {
  const flash = ref<Signal['says'] | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined

  function give(says: Signal['says']) {
    sound(says)
    flash.value = says
    clearTimeout(timer)
    timer = setTimeout(() => (flash.value = null), FLASH)
  }

  function hush() {
    clearTimeout(timer)
    flash.value = null
  }

  watch([() => block.value?.id, spent], ([id, to], [before, from]) => {
    if (!block.value || to <= 0) return
    const due = signalsBetween(block.value, waves.value, id === before ? from : 0, to)
    const last = lastOf(due)
    if (last) give(last.says)
  })

  return { flash, give, hush }
}
