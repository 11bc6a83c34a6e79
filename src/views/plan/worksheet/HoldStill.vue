<script setup lang="ts">
import { toReactionId } from '../../../core/chart/ids'
import { computed } from 'vue'
import ReactionRow from './ReactionRow.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

/** What they do while we hold still, where anything is charted. */
const { position } = useWorksheet()
const reactions = computed(() => Object.keys(position.value?.unprompted?.reactions ?? {}).map(toReactionId))
</script>

<template>
  <article v-if="reactions.length" class="panel still" aria-label="While we hold still">
    <h2>
      While we hold still
      <span class="muted small">about every {{ position!.unprompted!.every }} seconds one of these</span>
    </h2>
    <ul>
      <ReactionRow v-for="id in reactions" :key="id" :reaction-id="id" />
    </ul>
  </article>
</template>

<style scoped>
.still {
  padding: 10px 12px 8px 16px;
}
</style>
