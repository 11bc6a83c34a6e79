<script setup lang="ts">
import FromShelf from '../../parts/add/FromShelf.vue'
import MoveInspector from '../../parts/inspectors/MoveInspector.vue'
import PositionInspector from '../../parts/inspectors/PositionInspector.vue'
import ReactionInspector from '../../parts/inspectors/ReactionInspector.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

/** The same detail as beside the Worksheet, of what one stands on. */
const { position, selected } = useWorksheet()
</script>

<template>
  <MoveInspector v-if="selected.move && !selected.reaction" :key="selected.move.id" :move="selected.move" />
  <ReactionInspector
    v-else-if="selected.reaction"
    :key="selected.reaction.id"
    :reaction="selected.reaction"
    :move="selected.move"
  />
  <PositionInspector v-else-if="position" :key="position.id" :position="position" />
  <FromShelf
    v-if="position && (selected.reaction || !selected.move)"
    :key="`shelf ${position.id} ${selected.reaction?.id ?? ''}`"
    class="shelf"
    :reaction="selected.reaction?.id"
  />
</template>

<style scoped>
.shelf {
  margin-top: 14px;
}
</style>
