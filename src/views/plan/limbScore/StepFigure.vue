<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { holdsOf } from '../../../core/limbScore/limbs'
import { whoControls } from '../../../core/sides/frames'
import PinFigure from '../../parts/body/PinFigure.vue'
import { useScore } from './score'

/** The two at the step that is looked at, where its frame has a figure. */
const { chart, run, played, beat } = useScore()
const at = computed(() => played.value.beats[beat.value])
/** The position that the step is in, or was in last. */
const position = computed(() => {
  const last = played.value.beats.slice(0, beat.value + 1).findLast(({ place }) => place.kind === 'position')
  return lookUp(chart.value.positions, last?.place.kind === 'position' ? last.place.id : run.value?.start)
})
const holds = computed(() => (at.value ? holdsOf(chart.value, at.value.holds) : []))
</script>

<template>
  <PinFigure
    v-if="at && position && holds.length"
    :frame="at.frame"
    :orientation="at.orientation"
    :over="whoControls(position)"
    :holds="holds"
  />
</template>
