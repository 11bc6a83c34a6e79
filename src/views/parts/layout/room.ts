import { useMediaQuery } from '@vueuse/core'

/** Whether the screens stand in a rail at the side; else the most used are in a bar at the foot. */
export const useHasRail = () => useMediaQuery('(width >= 1024px)')

/** Whether a list, its sheet and what is said about a part of it stand side by side, or one after the other. On paper
 * all of them are there, and its style sheet leaves out what is not printed. */
export const useSideBySide = () => useMediaQuery('print, (width >= 1100px)')

/** Whether a wide picture has no room and is told as a list of steps in its place. */
export const useIsNarrow = () => useMediaQuery('screen and (width < 768px)')
