import { Moon, Operation, RefreshLeft, RefreshRight, Search, Sunny } from '@element-plus/icons-vue'
import { useNow, useToggle } from '@vueuse/core'
import { computed, type Component } from 'vue'
import { savedText } from '../../core/say/figureText'
import { useActing } from '../../stores/acting'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'
import { useTheme } from '../../stores/theme'

/** Something that the frame does on every screen. `tip`: more than the name, for a pointer that rests on it. */
export interface Deed {
  key: string
  name: string
  tip: string
  icon: Component
  isOff?: boolean
  run: () => void
}

/** Undo and redo with what they would do. */
function useStepsBack() {
  const acting = useActing()
  return computed((): Deed[] => {
    const { undo, redo } = acting.steps
    return [
      {
        ...{ key: 'undo', name: t('frame.undo'), icon: RefreshLeft, isOff: !undo, run: () => acting.undo() },
        tip: undo ? t('frame.undoUndoCtrlZ', { undo }) : t('frame.nothingToUndo'),
      },
      {
        ...{ key: 'redo', name: t('frame.redo'), icon: RefreshRight, isOff: !redo, run: () => acting.redo() },
        tip: redo ? t('frame.redoRedoCtrlShiftZ', { redo }) : t('frame.nothingToRedo'),
      },
    ]
  })
}

/** What the frame does besides: find, undo, redo, dark or light, the keys. */
export function useDeeds(ask: (what: 'palette' | 'shortcuts') => void) {
  const isDark = useTheme()
  const toggleDark = useToggle(isDark)
  const steps = useStepsBack()
  return computed((): Deed[] => [
    { key: 'find', name: t('frame.find'), tip: t('frame.findAnythingCtrlK'), icon: Search, run: () => ask('palette') },
    ...steps.value,
    {
      ...{ key: 'dark', name: isDark.value ? t('frame.light') : t('frame.dark'), tip: t('frame.darkOrLight') },
      ...{ icon: isDark.value ? Sunny : Moon, run: () => void toggleDark() },
    },
    { key: 'keys', name: t('frame.keys'), tip: t('frame.shortcuts'), icon: Operation, run: () => ask('shortcuts') },
  ])
}

/** Whether all is kept, in words: of all charts, not only of the one that is open. */
export function useSavedText() {
  const acting = useActing()
  const charts = useCharts()
  const now = useNow({ interval: 30_000 })
  return computed(() => {
    const saving = acting.saving
    if (saving.state === 'saving') return t('frame.saving')
    if (saving.state !== 'saved') return t('frame.notSaved')
    const left = charts.unsaved.filter(({ id }) => id !== charts.chart?.id)
    if (left.length) return t('frame.chartsNotSaved', { charts: t('count.chart', left.length) })
    return saving.at ? t('frame.savedAt', { at: savedText(saving.at, now.value.getTime()) }) : ''
  })
}
