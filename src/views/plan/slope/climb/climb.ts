import { computed, shallowRef, watch } from 'vue'
import { climbOf, type MoveRibbon, type ReplyRibbon } from '../../../../core/climb/climb'
import type { Comings } from '../../../../core/climb/comings'
import { hundred, signed } from '../../../../core/say/figureText'
import { useCharts } from '../../../../stores/charts'
import { useFigures } from '../../../../stores/figures'
import { t } from '../../../../words/slope'

/** The plan of the open chart as a climb; null until it is known. */
export function useClimb() {
  const charts = useCharts()
  const figures = useFigures()
  const comings = shallowRef<Comings | null>(null)
  watch(
    () => figures.figures,
    async (asked) => {
      const found = asked ? await figures.comings() : null
      // A newer plan has been asked for in between.
      if (asked === figures.figures) comings.value = found
    },
    { immediate: true },
  )
  return computed(() =>
    charts.chart && figures.figures && comings.value ? climbOf(charts.chart, figures.figures, comings.value) : null,
  )
}

const per = (count: number) => hundred(count / 100)

/** "2 leaks, 1 open", or nothing. */
export function badgeText({ leaks, open }: MoveRibbon): string {
  return [...(leaks ? [t('slope.nLeaks', leaks)] : []), ...(open ? [t('slope.nOpen', { n: open })] : [])].join(', ')
}

/** What stands at a ribbon: how often, and where it is a fall or a step up what that costs or brings. */
export function ribbonText(of: MoveRibbon | ReplyRibbon): string {
  return 'net' in of ? signed(-of.cost / 100) : per(of.per)
}

/** A ribbon in a sentence. */
export function ribbonSentence(of: MoveRibbon | ReplyRibbon): string {
  if (!('net' in of)) return t('slope.moveInAHundred', { move: of.name, n: per(of.per) })
  const answer = of.answer ? t('slope.weAnswer', { answer: of.answer }) : t('slope.weConcede')
  return t('slope.replyInAHundred', { reply: of.name, n: per(of.per), net: signed(of.net), answer })
}

/** The name at a ribbon; with where it leads, if there is no ledge. */
export function nameAt(of: MoveRibbon | ReplyRibbon): string {
  return 'beside' in of ? t('slope.moveTo', { move: of.name, place: of.beside.name }) : of.name
}
