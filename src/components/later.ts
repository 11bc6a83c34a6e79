import { defineAsyncComponent, type Component } from 'vue'

/** Resolves once the page has drawn what was asked for and has nothing else to do. */
export const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    // Not every browser has idle callbacks.
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve())
    else setTimeout(resolve)
  })

/** A component that is fetched only once the page has drawn what was asked for and has nothing else to do. */
export const later = (load: () => Promise<Component>): Component =>
  defineAsyncComponent(async () => {
    await whenIdle()
    return load()
  })
