import { useDark } from '@vueuse/core'

/** Whether the screen is dark: as the system says, until the coach says otherwise. */
export const useTheme = () => useDark({ storageKey: 'ataque-theme', disableTransition: false })
