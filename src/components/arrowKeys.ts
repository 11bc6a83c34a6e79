import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

const FORWARD = new Set(['ArrowRight', 'ArrowDown'])
const BACK = new Set(['ArrowLeft', 'ArrowUp'])

/**
 * The toolbar pattern (WAI-ARIA): one stop of Tab for all of its buttons, arrows, Home and End go among them. The
 * buttons may change; the one that had the focus last, else the first, is the stop.
 */
export function useToolbar(root: Ref<HTMLElement | undefined>): void {
  const buttons = () => [...(root.value?.querySelectorAll<HTMLElement>('button:not(:disabled)') ?? [])]
  const stopAt = (chosen: HTMLElement) => {
    for (const button of buttons()) button.tabIndex = button === chosen ? 0 : -1
  }
  useEventListener(root, 'focusin', ({ target }) => {
    if (target instanceof HTMLElement && target.matches('button')) stopAt(target)
  })
  useEventListener(root, 'keydown', (event) => {
    const all = buttons()
    const at = all.indexOf(document.activeElement as HTMLElement)
    if (at < 0) return
    const to = FORWARD.has(event.key)
      ? at + 1
      : BACK.has(event.key)
        ? at - 1
        : { Home: 0, End: all.length - 1 }[event.key]
    const next = to === undefined ? undefined : all[(to + all.length) % all.length]
    if (!next) return
    event.preventDefault()
    next.focus()
  })
}

/**
 * The keys of a tree (WAI-ARIA) over nested lists whose entries are buttons: up and down through all of them, left to
 * the one around, right to the first within, Home and End.
 */
export function useTree(root: Ref<HTMLElement | undefined>): void {
  useEventListener(root, 'keydown', (event) => {
    const all = [...(root.value?.querySelectorAll<HTMLElement>('[role=treeitem]') ?? [])]
    const here = document.activeElement as HTMLElement
    const at = all.indexOf(here)
    if (at < 0) return
    const within = here.closest('li')?.querySelector<HTMLElement>('ul [role=treeitem]')
    const around = here.closest('ul')?.closest('li')?.querySelector<HTMLElement>('[role=treeitem]')
    const next = {
      ArrowDown: all[at + 1],
      ArrowUp: all[at - 1],
      ArrowRight: within,
      ArrowLeft: around,
      Home: all[0],
      End: all.at(-1),
    }[event.key]
    if (!next) return
    event.preventDefault()
    event.stopPropagation()
    for (const one of all) one.tabIndex = one === next ? 0 : -1
    next.focus()
  })
}
