<script setup lang="ts">
import { computed } from 'vue'
import { positionIn } from '../../core/chart/edits/find'
import { frameOf, FRAMES } from '../../core/sides/frames'
import { useCharts } from '../../stores/charts'
import { useHolds } from './holds'

/** How the two lie or stand to each other, and what must be known to say sides; without it, left and right are said. */
const { position } = useHolds()
const charts = useCharts()
const frame = computed(() => frameOf(position.value?.frame))
const isOwn = computed(() => Boolean(position.value?.frame && !frame.value))

function setFrame(id: string) {
  charts.edit(`Frame of ${position.value!.name}`, (draft) => {
    const record = positionIn(draft, position.value!.id)
    if (id) record.frame = id
    else delete record.frame
  })
}

function setFact(key: string, side: string) {
  charts.edit(`Sides of ${position.value!.name}`, (draft) => {
    const record = positionIn(draft, position.value!.id)
    const orientation = { ...record.orientation }
    if (side) orientation[key] = side
    else delete orientation[key]
    if (Object.keys(orientation).length) record.orientation = orientation
    else delete record.orientation
  })
}
</script>

<template>
  <div class="frame">
    <label>
      <span class="label">Seen</span>
      <select
        class="field"
        :value="position!.frame ?? ''"
        @change="setFrame(($event.target as HTMLSelectElement).value)"
      >
        <option value="">in no frame</option>
        <option v-if="isOwn" :value="position!.frame">{{ position!.frame }}</option>
        <option v-for="one in FRAMES" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <label v-for="fact in frame?.facts ?? []" :key="fact.key">
      <span class="label">{{ fact.ask }}</span>
      <select
        class="field"
        :value="String(position!.orientation?.[fact.key] ?? '')"
        @change="setFact(fact.key, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">not said</option>
        <option value="left">left</option>
        <option value="right">right</option>
      </select>
    </label>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}

label {
  display: grid;
  gap: 2px;
}

.field {
  width: auto;
  min-width: 120px;
  min-height: 30px;
  font-size: 15px;
}
</style>
