<script setup lang="ts">
import MoveInspector from './MoveInspector.vue'
import PositionInspector from './PositionInspector.vue'
import ReactionInspector from './ReactionInspector.vue'
import { useWorksheet } from './sheet'

/** The inspector of the selected move or reaction, else of the position. */
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
</template>
