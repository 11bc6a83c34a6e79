import { useTitle } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { useRoute, useRouter, type RouterScrollBehavior } from 'vue-router'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

/** How long what is looked for on a new screen may take to be drawn, in milliseconds. */
const WAITS = 1500
/** How far each place was scrolled when it was left, in pixels. */
const scrolled = new Map<string, number>()
const screenElement = () => document.querySelector<HTMLElement>('#screen')

/** Back and Forward find a screen scrolled as it was left; any other way comes to its top. The window never scrolls. */
export const scrollBehavior: RouterScrollBehavior = async (to, from, saved) => {
  if (to.meta.screen === from.meta.screen) return
  const top = saved ? (scrolled.get(to.fullPath) ?? 0) : 0
  await drawn(() => {
    screenElement()?.scrollTo({ top })
    return Math.abs((screenElement()?.scrollTop ?? top) - top) < 1
  })
}

/**
 * What happens when one comes to another screen: the window has its name, which is said to who listens, and the focus
 * goes to its heading. Returns what is to be said.
 */
export function useArriving() {
  const charts = useCharts()
  const route = useRoute()
  const router = useRouter()
  const screen = computed(() => (route.meta.screen ? t(route.meta.screen) : ''))
  useTitle(
    computed(() => {
      const chart = charts.chart?.title
      if (!screen.value) return t('frame.ataque')
      return chart
        ? t('frame.screenOfChartAtaque', { screen: screen.value, chart })
        : t('frame.screenAtaque', { screen: screen.value })
    }),
  )
  const said = ref('')
  router.beforeEach((_to, from) => void scrolled.set(from.fullPath, screenElement()?.scrollTop ?? 0))
  router.afterEach(async (to, from) => {
    if (!to.meta.screen || !from.meta.screen || to.meta.screen === from.meta.screen) return
    said.value = screen.value
    const before = document.activeElement
    // The screen before has gone by then, and its heading with it.
    await nextTick()
    const heading = await drawn(() => screenElement()?.querySelector<HTMLElement>('h1'))
    // Whatever has the focus by now, by the screen itself or by whoever came to it, keeps it.
    const { activeElement: now, body } = document
    if (now === before || now === body || !now) focusOn(heading ?? screenElement())
  })
  return said
}

function focusOn(element: HTMLElement | null): void {
  if (element && !element.hasAttribute('tabindex')) element.tabIndex = -1
  element?.focus({ preventScroll: true })
}

/** What `find` finds, as soon as it is drawn; undefined where that takes too long. */
async function drawn<T>(find: () => T | null | undefined): Promise<T | undefined> {
  const until = Date.now() + WAITS
  while (Date.now() < until) {
    const found = find()
    if (found) return found
    await new Promise(requestAnimationFrame)
  }
  return undefined
}
