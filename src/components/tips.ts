import { useEventListener } from '@vueuse/core'
import { shallowRef } from 'vue'

/** What is pointed at, or has the focus, and has something more to say in `data-tip`; null where nothing is. */
export const tipped = shallowRef<HTMLElement | null>(null)

/** So long must a pointer rest on something, in milliseconds, before its tip shows. */
const RESTS = 450

/** Follows the pointer, the focus and Escape over the whole document. A finger has no tips: it has no way to rest. */
export function followTips(): void {
  let byKey = false
  let timer: ReturnType<typeof setTimeout> | undefined
  const of = ({ target }: Event) => (target instanceof Element ? target.closest<HTMLElement>('[data-tip]') : null)
  const show = (element: HTMLElement | null, after: number) => {
    clearTimeout(timer)
    if (element === tipped.value) return
    timer = setTimeout(() => (tipped.value = element?.dataset.tip ? element : null), after)
  }
  useEventListener(document, 'pointerover', (event) => {
    const isOnTip = event.target instanceof Element && event.target.closest('.tip')
    if (event.pointerType === 'mouse' && !isOnTip) show(of(event), of(event) ? RESTS : 100)
  })
  // Of a focus that a key has moved: where the application moves it, a tip would cover what is to be read.
  useEventListener(document, 'focusin', (event) => {
    if (byKey && event.target instanceof Element && event.target.matches(':focus-visible')) show(of(event), 0)
  })
  useEventListener(document, ['focusout', 'pointerdown'], () => show(null, 0))
  useEventListener(document, 'keydown', ({ key }) => {
    if (key === 'Escape') show(null, 0)
    byKey = key === 'Tab'
    setTimeout(() => (byKey = false))
  })
}
