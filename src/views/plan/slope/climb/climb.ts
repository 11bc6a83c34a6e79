import { computed, onScopeDispose, shallowRef, watch } from 'vue'
import { isOtherThan } from '../../../../core/climb/over'
import { climbOf, type Climb, type MoveRibbon, type ReplyRibbon } from '../../../../core/climb/climb'
import type { Curve } from '../../../../core/climb/curve'
import type { Comings } from '../../../../core/climb/comings'
import type { Figures } from '../../../../core/insight/figures'
import { hundred, signed } from '../../../../core/say/figureText'
import { useCharts } from '../../../../stores/charts'
import { useFigures } from '../../../../stores/figures'
import { t } from '../../../../words/slope'

/** The plan of the open chart as a climb; null until it is known. */
export function useClimb() {
  const charts = useCharts()
  const figures = useFigures()
  /** Of one solve: neither is shown without the other. */
  const plan = shallowRef<{ figures: Figures; comings: Comings } | null>(null)
  watch(
    () => figures.figures,
    async (asked) => {
      const comings = asked ? await figures.comings() : null
      // A newer plan has been asked for in between.
      if (asked === figures.figures) plan.value = asked && comings ? { figures: asked, comings } : null
    },
    { immediate: true },
  )
  return computed(() =>
    charts.chart && plan.value ? climbOf(charts.chart, plan.value.figures, plan.value.comings) : null,
  )
}

/** How long the plan before a change stays in view as outlines. */
const A_MOMENT = 5_000

/** The climb of before the last change, for a moment; null otherwise. */
export function useBefore(climb: () => Climb | null, isSame: () => string | undefined) {
  const before = shallowRef<Climb | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  watch([climb, isSame], ([now, chart], [was, chartBefore]) => {
    if (!now || !was || chart !== chartBefore || !isOtherThan(now, was)) return
    clearTimeout(timer)
    before.value = was
    timer = setTimeout(() => (before.value = null), A_MOMENT)
  })
  onScopeDispose(() => clearTimeout(timer))
  return before
}

const per = (count: number) => hundred(count / 100)

/** What it brings them in a hundred exchanges is said from here on. */
const MUCH = 0.1

/** "2 leaks, 1 open", or nothing; of what they do, from their chair, what it brings them. */
export function badgeText({ leaks, open, theirs }: MoveRibbon): string {
  if (theirs) return theirs.gain >= MUCH ? signed(theirs.gain / 100) : ''
  return [...(leaks ? [t('slope.nLeaks', leaks)] : []), ...(open ? [t('slope.nOpen', { n: open })] : [])].join(', ')
}

/** What stands at a ribbon: how often, and where it is a fall or a step up what that costs or brings. */
export function ribbonText(of: MoveRibbon | ReplyRibbon): string {
  return 'net' in of ? signed(-of.cost / 100) : per(of.per)
}

/** A ribbon in a sentence. */
export function ribbonSentence(of: MoveRibbon | ReplyRibbon): string {
  if ('theirs' in of) {
    const { against, gain } = of.theirs
    return t('slope.theirsInAHundred', { reply: of.name, against, n: per(of.per), gain: signed(gain / 100) })
  }
  if (!('net' in of)) return t('slope.moveInAHundred', { move: of.name, n: per(of.per) })
  const answer = of.answer ? t('slope.weAnswer', { answer: of.answer }) : t('slope.weConcede')
  return t('slope.replyInAHundred', { reply: of.name, n: per(of.per), net: signed(of.net), answer })
}

/** The name at a ribbon; with where it leads, if there is no ledge. */
export function nameAt(of: MoveRibbon | ReplyRibbon): string {
  return 'beside' in of && of.beside.name ? t('slope.moveTo', { move: of.name, place: of.beside.name }) : of.name
}

/** A curve as the path of a picture. */
export const pathOf = ([a, b, c, d]: Curve): string => `M${a.join(' ')}C${b.join(' ')} ${c.join(' ')} ${d.join(' ')}`
