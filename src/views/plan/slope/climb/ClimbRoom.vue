<script setup lang="ts">
import { computed } from 'vue'
import type { Climb } from '../../../../core/climb/climb'
import type { Chair } from '../../../../core/questions/climbs'
import ClimbPicture from './ClimbPicture.vue'
import { useClimbPicture } from './picture'

/** The picture of a climb in the room that there is. `atRest`: keys of what is drawn where no fork is shown. */
const props = defineProps<{
  climb: Climb
  over: Climb | null
  isOfBefore: boolean
  chair: Chair
  width: number
  height: number
  move: string | null
  pressed: string | null
  start: string
}>()
const emit = defineEmits<{ pick: [move: string | null]; point: [move: string | null] }>()
const { picture, outlines, isMoving } = useClimbPicture(() => props)
const atRest = computed(() => new Set(picture.value.ribbons.filter((one) => one.isAtRest).map(({ key }) => key)))
defineExpose({ atRest })
</script>

<template>
  <ClimbPicture
    v-bind="{ picture, outlines, over, isOfBefore, isMoving, move, pressed, start, chair }"
    @pick="(one) => emit('pick', one)"
    @point="(one) => emit('point', one)"
  />
</template>
