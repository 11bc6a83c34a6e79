<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { isTyping } from '../../frame/shortcuts'
import ForkCard from './ForkCard.vue'
import FromShelf from '../../parts/add/FromShelf.vue'
import HoldStill from './HoldStill.vue'
import PositionHead from './PositionHead.vue'
import SelectedInspector from '../../parts/inspectors/SelectedInspector.vue'
import PositionList from '../../parts/PositionList.vue'
import SayMoves from '../../parts/add/SayMoves.vue'
import ShelfSays from './ShelfSays.vue'
import ThreeDoors from './ThreeDoors.vue'
import NextThing from '../../parts/figures/NextThing.vue'
import { provideWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words'

const { position, moves, selected } = provideWorksheet()
/** What is tried only in reply stands below what is tried cold. */
const coldFirst = computed(() => moves.value.toSorted((a, b) => Number(a.reply ?? false) - Number(b.reply ?? false)))
const list = ref<{ search: () => void }>()
const say = ref<{ focus: () => void }>()
const still = ref<{ focus: () => void }>()

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
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === '/') list.value?.search()
  else if (event.key.toLowerCase() === 'n') say.value?.focus()
  else return
  event.preventDefault()
})
</script>

<template>
  <div class="worksheet">
    <PositionList ref="list" />
    <section v-if="position" class="sheet" :aria-label="position.name">
      <PositionHead @say="say?.focus()" @theirs="still?.focus()" />
      <NextThing />
      <ForkCard v-for="move in coldFirst" :key="move.id" :move="move" />
      <HoldStill ref="still" />
      <SayMoves ref="say" :key="position.id" />
      <ShelfSays :key="`says ${position.id}`" />
      <FromShelf :key="`shelf ${position.id}`" />
    </section>
    <section v-else class="sheet">
      <ThreeDoors />
    </section>
    <aside v-if="position" :aria-label="t('common.aboutIt')">
      <SelectedInspector />
    </aside>
  </div>
</template>

<style scoped>
.worksheet {
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) 300px;
  height: 100%;
}

.sheet {
  display: grid;
  align-content: start;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16) var(--space-32);
  overflow-y: auto;
  min-width: 0;
}

aside {
  padding: var(--space-16);
  border-left: 1px solid var(--line);
  background: var(--panel);
  overflow-y: auto;
}

@media (width < 1100px) {
  .worksheet {
    grid-template-columns: 190px minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
  }

  aside {
    grid-column: 1 / -1;
    max-height: 34vh;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
