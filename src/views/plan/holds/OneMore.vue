<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { changeText } from '../../../core/say/figureText'
import { sayFewest } from '../../../core/say/holds'
import { putOnKnown } from '../../../core/chart/edits/holds'
import { lookUp } from '../../../core/chart/lookUp'
import { smallestShuttingSet } from '../../../core/holds/oneMore'
import { limbsWords } from '../../../core/holds/limbWords'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useHolds } from './holds'

/** What one more control would take from them, and the fewest that shut all. */
const { chart, position, next, more, worths } = useHolds()
const charts = useCharts()
const store = useFigures()
const MAX_HOLDS = 4

const nameOf = (id: string) => (lookUp(chart.value.holds, id) ?? more.value.find((hold) => hold.id === id))?.name ?? id
const now = computed(() => store.figures?.positions[present(position.value).id]?.value)
const rows = computed(() =>
  next.value.slice(0, MAX_HOLDS).map((one) => {
    const worth = worths.get(one.hold)
    return {
      ...one,
      name: nameOf(one.hold),
      isNew: more.value.some((hold) => hold.id === one.hold),
      change: worth && now.value !== undefined ? worth.position - now.value : null,
    }
  }),
)
const fewest = computed(() => smallestShuttingSet(chart.value, present(position.value).id))

function put(id: string, name: string) {
  charts.edit(`${name} on`, (draft) => putOnKnown(draft, present(position.value).id, id, more.value))
}
</script>

<template>
  <section class="panel" aria-label="One more control">
    <h2>One more control <span>takes of ten tries, and is worth</span></h2>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.hold">
        <div>
          <button type="button" class="plain name" :title="`Put it on`" @click="put(row.hold, row.name)">
            {{ row.name }}
          </button>
          <span class="muted small"
            ><template v-if="row.isNew"> from the Shelf;</template> leaves free:
            {{ limbsWords(row.free) || 'nothing' }}</span
          >
          <p v-if="row.shuts.length" class="small">shuts {{ row.shuts.join(', ') }}</p>
        </div>
        <b>{{ (row.takes * 10).toFixed(1) }}</b>
        <b v-if="row.change !== null">{{ changeText(row.change) }}</b>
      </li>
    </ul>
    <p v-else class="muted">
      No other hold that is charted for this frame takes more from them with a limb that is free.
    </p>
    <p v-if="fewest" class="fewest">{{ sayFewest(fewest, nameOf) }}</p>
  </section>
</template>

<style scoped>
.fewest {
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
</style>

<style scoped src="./holdsPanel.css"></style>
