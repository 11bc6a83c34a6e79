import { defineAsyncComponent, type Component } from 'vue'

/** A component that is fetched only once the page has drawn what was asked for and has nothing else to do. */
export const later = (load: () => Promise<Component>): Component =>
  defineAsyncComponent(async () => {
    await new Promise<void>((resolve) => {
      // Not every browser has idle callbacks.
      if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve())
      else setTimeout(resolve)
    })
    return load()
  })
