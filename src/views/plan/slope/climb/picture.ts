import { TransitionPresets, useMediaQuery, usePreferredReducedMotion, useTransition } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Climb } from '../../../../core/climb/climb'
import { laidUnder, onTheWay } from '../../../../core/climb/over'
import type { ClimbPicture } from '../../../../core/climb/picture'
import { placeClimb } from '../../../../core/climb/place'
import { facesLoaded, measureText } from '../measureText'

/** Pixels of a picture on paper: an A4 page across, with names of 9 points or more. */
const ON_PAPER = { width: 1040, height: 540 }
const MOVES_MS = 450

interface Shown {
  climb: Climb
  /** What is laid over it: of before a change, of another scenario or chart. */
  over: Climb | null
  width: number
  height: number
}

/**
 * The picture of a climb, on its way from the one before to the new one, unless less motion is asked for; and what is
 * laid over it, in outlines.
 */
export function useClimbPicture(shown: () => Shown) {
  const isOnPaper = useMediaQuery('print')
  const placed = computed(() => {
    void facesLoaded.value
    const { climb, over, width, height } = shown()
    return placeClimb(climb, { ...(isOnPaper.value ? ON_PAPER : { width, height }), measure: measureText }, over)
  })
  const outlines = computed(() => {
    const { over } = shown()
    return over && laidUnder(placed.value, over, measureText)
  })

  const motion = usePreferredReducedMotion()
  const from = shallowRef<ClimbPicture>(placed.value)
  const goal = ref(1)
  const part = useTransition(goal, { duration: MOVES_MS, transition: TransitionPresets.easeInOutCubic })
  const isMoving = computed(() => part.value < goal.value)
  const step = computed(() => part.value - goal.value + 1)
  watch(placed, (now, was) => {
    const isSameRoom = now.width === was.width && now.height === was.height
    if (motion.value === 'reduce' || !isSameRoom) return void (from.value = now)
    from.value = isMoving.value ? onTheWay(from.value, was, step.value) : was
    goal.value++
  })
  const picture = computed(() => (isMoving.value ? onTheWay(from.value, placed.value, step.value) : placed.value))
  return { picture, outlines, isMoving }
}
