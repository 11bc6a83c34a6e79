<script setup lang="ts">
import FromShelf from '../../parts/add/FromShelf.vue'
import SelectedInspector from '../../parts/inspectors/SelectedInspector.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

/** The current item in detail, and what the Shelf adds to it. */
const { position, selected } = useWorksheet()
</script>

<template>
  <SelectedInspector />
  <FromShelf
    v-if="position && (selected.reaction || !selected.move)"
    :key="`shelf ${position.id} ${selected.reaction?.id ?? ''}`"
    class="shelf"
    :reaction="selected.reaction?.id"
  />
</template>

<style scoped>
.shelf {
  margin-top: var(--space-16);
}
</style>
