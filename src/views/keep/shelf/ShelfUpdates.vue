<script setup lang="ts">
import { computed } from 'vue'
import type { Shelf } from '../../../core/shelf/shelf'
import { fieldName, sayField } from '../../../core/say/update'
import type { ShelfMove } from '../../../core/shelf/shelfRecords'
import { changedOnShelf, differencesOf, leaveUpdate, takeUpdate } from '../../../core/shelf/edits/updates'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/shelf'

/**
 * Moves of the open chart of which the Shelf now says something else than when they came in: it offers, and changes
 * nothing itself.
 */
const props = defineProps<{ shelf: Shelf }>()
const charts = useCharts()
const changed = computed(() => (charts.chart ? changedOnShelf(charts.chart, props.shelf) : []))
/** Lines that are only here, and lines that only the Shelf has now. */
const differences = (move: ShelfMove) =>
  (charts.chart ? differencesOf(charts.chart, move) : []).map(({ field, had, says }) => {
    const [mine, theirs] = [sayField(had, field), sayField(says, field)]
    return {
      name: fieldName(field),
      had: mine.filter((line) => !theirs.includes(line)),
      says: theirs.filter((line) => !mine.includes(line)),
    }
  })
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
        <details class="difference">
          <summary>{{ move.name }}</summary>
          <dl v-for="one in differences(move)" :key="one.name" :aria-label="one.name">
            <dt class="label">{{ one.name }}</dt>
            <dd>
              <del v-for="line in one.had" :key="line">{{ line }}</del>
              <ins v-for="line in one.says" :key="line">{{ line }}</ins>
            </dd>
          </dl>
        </details>
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

.difference {
  flex: 1;
}

li {
  align-items: start;
}

dd {
  display: grid;
  margin: 0 0 var(--space-8);
}

del {
  color: var(--leak);
}

ins {
  text-decoration: none;
  color: var(--ours);
}
</style>
