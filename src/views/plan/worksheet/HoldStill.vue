<script setup lang="ts">
import { toReactionId } from '../../../core/chart/ids'
import { computed } from 'vue'
import LooseRing from '../../../components/LooseRing.vue'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import ReactionRow from './ReactionRow.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

/** What they do while we hold still, where anything is charted. */
const { position } = useWorksheet()
const store = useFigures()
/** What it costs that they get out; not known while it is being worked out. */
const cost = computed(() => {
  const ends = store.figures?.looseEnds ?? []
  const at = ends.findIndex(({ met, position: id }) => met.by === 'out' && id === position.value?.id)
  return at < 0 ? undefined : store.costs[at]
})
const reactions = computed(() => Object.keys(position.value?.unprompted?.reactions ?? {}).map(toReactionId))
</script>

<template>
  <article v-if="reactions.length || position?.out" class="panel still" aria-label="While we hold still">
    <h2>
      While we hold still
      <span v-if="position?.unprompted" class="muted small">
        about every {{ position.unprompted.every }} seconds one of these
      </span>
    </h2>
    <p v-if="position?.out" class="out">
      <LooseRing text="Gets out" />
      <span class="muted small">
        a good partner is gone after about {{ position.out.every }} seconds, and it is over; chart how they do it, then
        take this off
      </span>
      <AskedFigure
        v-if="typeof cost === 'number'"
        :value="cost"
        form="cost"
        :asked="{ of: 'cost', reaction: `getting out of ${position.name}`, cost }"
        label="Cost of getting out"
      />
    </p>
    <ul>
      <ReactionRow v-for="id in reactions" :key="id" :reaction-id="id" />
    </ul>
  </article>
</template>

<style scoped>
.still {
  padding: 10px 12px 8px 16px;
}
.out {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 5px 4px;
}
</style>
