<script setup lang="ts">
import { computed } from 'vue'
import type { Shelf } from '../../../core/shelf/shelf'
import type { ShelfMove } from '../../../core/shelf/shelfRecords'
import { changedOnShelf, leaveUpdate, takeUpdate } from '../../../core/shelf/edits/updates'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/shelf'

/**
 * Moves of the open chart of which the Shelf now says something else than when they came in: it offers, and changes
 * nothing itself.
 */
const props = defineProps<{ shelf: Shelf }>()
const charts = useCharts()
const changed = computed(() => (charts.chart ? changedOnShelf(charts.chart, props.shelf) : []))
const take = (move: ShelfMove) =>
  charts.edit(t('shelf.moveAsOnTheShelf', { move: move.name }), (draft) => takeUpdate(draft, move))
const leave = (move: ShelfMove) =>
  charts.edit(t('shelf.leaveMoveAsItIs', { move: move.name }), (draft) => leaveUpdate(draft, move))
</script>

<template>
  <details v-if="changed.length" class="updates">
    <summary>{{ t('shelf.theShelfSaysSomethingNewOf', { moves: t('count.move', changed.length) }) }}</summary>
    <ul>
      <li v-for="move in changed" :key="move.id">
        <span>{{ move.name }}</span>
        <el-button text :aria-label="t('shelf.takeMove', { move: move.name })" @click="take(move)">
          {{ t('shelf.take') }}
        </el-button>
        <el-button text :aria-label="t('shelf.leaveMove', { move: move.name })" @click="leave(move)">
          {{ t('shelf.leave') }}
        </el-button>
      </li>
    </ul>
    <p class="muted small">{{ t('shelf.takingItChangesCheckpointsCautionsAnd') }}</p>
  </details>
</template>

<style scoped>
.updates {
  margin: var(--space-8) 0;
  padding: var(--space-8) var(--space-12);
  border-left: 4px solid var(--trap);
  background: var(--panel);
}

li {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}

li span {
  flex: 1;
}
</style>
