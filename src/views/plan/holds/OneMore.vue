<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
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
import { t } from '../../../words/holds'

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
  charts.edit(t('holds.valueOn', { value: name }), (draft) =>
    putOnKnown(draft, present(position.value).id, id, more.value),
  )
}
</script>

<template>
  <section class="panel" :aria-label="t('holds.oneMoreControl')">
    <h2>
      {{ t('holds.oneMoreControl') }} <span>{{ t('holds.takesOfTenTriesAndIs') }}</span>
    </h2>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.hold">
        <div>
          <RowButton class="name" :data-tip="t('holds.putItOn')" @click="put(row.hold, row.name)">
            {{ row.name }}
          </RowButton>
          <span class="muted small"
            ><template v-if="row.isNew"> {{ t('holds.fromTheShelf') }}&nbsp;</template>
            {{ t('holds.leavesFreeFree', { free: limbsWords(row.free) || t('common.nothing') }) }}</span
          >
          <p v-if="row.shuts.length" class="small">{{ t('holds.shutsShuts', { shuts: row.shuts.join(', ') }) }}</p>
        </div>
        <b>{{ (row.takes * 10).toFixed(1) }}</b>
        <b v-if="row.change !== null">{{ changeText(row.change) }}</b>
      </li>
    </ul>
    <p v-else class="muted">
      {{ t('holds.noOtherHoldThatIsCharted') }}
    </p>
    <p v-if="fewest" class="fewest">{{ sayFewest(fewest, nameOf) }}</p>
  </section>
</template>

<style scoped>
.fewest {
  padding-top: var(--space-8);
  border-top: 1px solid var(--line);
}
</style>

<style scoped src="./holdsPanel.css"></style>
