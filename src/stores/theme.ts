import { useDark } from '@vueuse/core'

/** Under which the browser keeps the theme. */
export const THEME_KEY = 'ataque-theme'

/** Whether the screen is dark: as the system says, until the coach says otherwise. */
export const useTheme = () => useDark({ storageKey: THEME_KEY, disableTransition: false })
