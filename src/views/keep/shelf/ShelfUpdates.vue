<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '../../../core/say/figureText'
import type { Shelf } from '../../../core/shelf/shelf'
import type { ShelfMove } from '../../../core/shelf/shelfRecords'
import { changedOnShelf, leaveUpdate, takeUpdate } from '../../../core/shelf/edits/updates'
import { useCharts } from '../../../stores/charts'

/**
 * Moves of the open chart of which the Shelf now says something else than when they came in: it offers, and changes
 * nothing itself.
 */
const props = defineProps<{ shelf: Shelf }>()
const charts = useCharts()
const changed = computed(() => (charts.chart ? changedOnShelf(charts.chart, props.shelf) : []))
const take = (move: ShelfMove) => charts.edit(`${move.name} as on the Shelf`, (draft) => takeUpdate(draft, move))
const leave = (move: ShelfMove) => charts.edit(`Leave ${move.name} as it is`, (draft) => leaveUpdate(draft, move))
</script>

<template>
  <details v-if="changed.length" class="updates">
    <summary>The Shelf says something new of {{ counted(changed.length, 'move') }} in this chart</summary>
    <ul>
      <li v-for="move in changed" :key="move.id">
        <span>{{ move.name }}</span>
        <button type="button" class="button quiet" :aria-label="`Take ${move.name}`" @click="take(move)">take</button>
        <button type="button" class="button quiet" :aria-label="`Leave ${move.name}`" @click="leave(move)">
          leave
        </button>
      </li>
    </ul>
    <p class="muted small">Taking it changes checkpoints, cautions and notes; never names, tries, holds or places.</p>
  </details>
</template>

<style scoped>
.updates {
  margin: 6px 0;
  padding: 6px 10px;
  border-left: 4px solid var(--trap);
  background: var(--panel);
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
}

li span {
  flex: 1;
}
</style>
