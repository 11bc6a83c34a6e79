<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { later } from '../../../components/later'
import { mayCommand } from '../../frame/shortcuts'
import PositionSheet from './PositionSheet.vue'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import PositionList from '../../parts/PositionList.vue'
import SayMoves from '../../parts/add/SayMoves.vue'
import { provideWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words'

/** Only a chart without positions has need of it, and it comes with the Shelf. */
const ThreeDoors = defineAsyncComponent(() => import('./ThreeDoors.vue'))
/** What stands beside and below the sheet comes after it: the position can be read and worked by then. */
const SelectedInspector = later(() => import('../../parts/inspectors/SelectedInspector.vue'))
const ShelfSays = later(() => import('./ShelfSays.vue'))
const FromShelf = later(() => import('../../parts/add/FromShelf.vue'))

const { position, selected } = provideWorksheet()
/** What the inspector is about. */
const about = computed(() => (selected.value.reaction ?? selected.value.move ?? position.value)?.name ?? '')
const list = ref<{ search: () => void }>()
const say = ref<{ focus: () => void }>()

/** Scrolls to what the address names and gives it the focus. */
watch(
  () => [position.value?.id, selected.value.move?.id, selected.value.reaction?.id] as const,
  async ([, move, reaction], before) => {
    if (before && before[0] === position.value?.id) return
    await nextTick()
    const row = document.querySelector<HTMLElement>(
      reaction ? `[data-row="${move ?? 'still'} ${reaction}"]` : move ? `[data-row="${move}"]` : '[data-none]',
    )
    row?.scrollIntoView({ block: 'center' })
    if (!selected.value.picksAnswer) row?.focus()
  },
  { immediate: true },
)

useEventListener(document, 'keydown', (event) => {
  if (!mayCommand(event)) return
  if (event.key === '/') list.value?.search()
  else if (event.key.toLowerCase() === 'n') say.value?.focus()
  else return
  event.preventDefault()
})
</script>

<template>
  <ListAndSheet :list="t('positions.positions')" :about="about">
    <template #list><PositionList ref="list" /></template>
    <section v-if="position" class="sheet" :aria-label="position.name">
      <PositionSheet @say="say?.focus()" />
      <SayMoves ref="say" :key="position.id" class="off-paper" />
      <ShelfSays :key="`says ${position.id}`" class="off-paper" />
      <FromShelf :key="`shelf ${position.id}`" class="off-paper" />
    </section>
    <section v-else class="sheet">
      <ThreeDoors />
    </section>
    <template #about>
      <aside class="off-paper" :aria-label="t('common.aboutIt')"><SelectedInspector /></aside>
    </template>
  </ListAndSheet>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16) var(--space-32);
}

@media print {
  .sheet {
    display: block;
    padding: 0;
  }
}
</style>
