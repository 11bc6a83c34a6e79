<script setup lang="ts" generic="T">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref } from 'vue'
import { sure } from '../core/sure'

/**
 * The rows of a list in a scrolling part of the screen. A long list is drawn only as far as it is seen; a short one
 * whole, so that the browser's own search finds everything in it.
 */
const props = defineProps<{
  items: readonly T[]
  /** What an item is known by among the others. */
  keyOf: (item: T) => string
  /** Pixels that a row usually takes. */
  rowHeight: number
  /** What scrolls. */
  scroller: HTMLElement | undefined
}>()

const LONG = 200
const root = ref<HTMLElement>()
const isLong = computed(() => props.items.length > LONG)
const virtualizer = useVirtualizer<HTMLElement, HTMLElement>(
  computed(() => ({
    count: props.items.length,
    enabled: isLong.value,
    getScrollElement: () => props.scroller ?? null,
    estimateSize: () => props.rowHeight,
    scrollMargin: root.value?.offsetTop ?? 0,
    overscan: 20,
    getItemKey: (index: number) => {
      const item = props.items[index]
      return item === undefined ? index : props.keyOf(item)
    },
  })),
)

const rows = computed(() => {
  const drawn = isLong.value ? virtualizer.value.getVirtualItems().map(({ index }) => index) : props.items.keys()
  return [...drawn].flatMap((index) => {
    const item = props.items[index]
    return item === undefined ? [] : [{ index, item, key: props.keyOf(item) }]
  })
})
/** The height of what is not drawn, above and below. */
const room = computed(() => {
  const drawn = isLong.value ? virtualizer.value.getVirtualItems() : []
  if (!drawn.length) return {}
  const margin = virtualizer.value.options.scrollMargin
  const above = sure(drawn[0]).start - margin
  const below = virtualizer.value.getTotalSize() - (sure(drawn[drawn.length - 1]).end - margin)
  return { paddingTop: `${above}px`, paddingBottom: `${Math.max(0, below)}px` }
})
const measure = (row: unknown) => isLong.value && virtualizer.value.measureElement(row as HTMLElement | null)
</script>

<template>
  <div ref="root" :style="room">
    <div v-for="{ index, item, key } in rows" :key="key" :ref="measure" :data-index="index">
      <slot :item="item" />
    </div>
  </div>
</template>
