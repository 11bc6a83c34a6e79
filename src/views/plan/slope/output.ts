import { useEventListener } from '@vueuse/core'
import { nextTick, ref, type Ref } from 'vue'
import { cautionLines } from '../../../core/chart/hazard'
import type { Scene } from '../../../core/slope/scene'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { ALL_LEGEND, captionsOf } from './legend'
import { isPrepared, offPaper, onPaper } from './printing'
import { captioned, savePicture, standalone } from './saving'

/** Saves and prints everything that is charted. `isWhole`: all of it is drawn, also what is outside the window. */
export function useOutput(root: Ref<HTMLElement | undefined>, scene: () => Scene | null) {
  const charts = useCharts()
  const isWhole = ref(false)

  async function whole(take: (picture: HTMLElement) => void | Promise<void>) {
    isWhole.value = true
    await nextTick()
    try {
      await take(present(root.value))
    } finally {
      isWhole.value = false
    }
  }

  const save = (kind: 'svg' | 'png') =>
    whole(async (picture) => {
      const chart = present(charts.chart)
      const copy = captioned(standalone(picture, present(scene())), captionsOf(chart, charts.isFlipped, ALL_LEGEND))
      const failed = await savePicture(copy, chart.title, kind)
      if (failed) charts.tell(failed, 'warning')
    })
  /** Puts the whole picture on paper, on one page or on several. */
  const prepare = (pages: 'one' | 'tiled') =>
    whole((picture) => {
      const { title, moves } = present(charts.chart)
      const drawn = scene()
      if (drawn) onPaper(picture, drawn, title, pages, cautionLines(moves))
    })
  /** Prepared before the browser is asked: nothing of ours runs between its own word and the paper. */
  async function print(pages: 'one' | 'tiled') {
    await prepare(pages)
    window.print()
  }
  useEventListener(window, 'beforeprint', () => {
    if (!isPrepared()) void prepare('one')
  })
  useEventListener(window, 'afterprint', offPaper)
  return { isWhole, save, print }
}
