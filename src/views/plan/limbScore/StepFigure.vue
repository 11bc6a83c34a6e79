<script setup lang="ts">
import { computed } from 'vue'
import { holdsOf } from '../../../core/limbScore/limbs'
import { whoControls } from '../../../core/sides/frames'
import PinFigure from '../../parts/body/PinFigure.vue'
import { useFrames } from './frames'
import { useScore } from './score'

/** The two at the step that is looked at, with what is held. */
const { chart, played, beat } = useScore()
const frames = useFrames()
const at = computed(() => played.value.beats[beat.value])
const frame = computed(() => frames.value[beat.value])
const holds = computed(() => (at.value ? holdsOf(chart.value, at.value.holds) : []))
</script>

<template>
  <PinFigure
    v-if="at && frame?.figure && frame.position"
    :frame="at.frame ?? frame.position.family"
    :name="frame.position.name"
    :orientation="at.orientation"
    :over="whoControls(frame.position)"
    :holds="holds"
    :moving="frame.moving"
  />
</template>
