import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Item } from '../../../core/slope/items'
import { provideSheet } from '../../parts/inspectors/sheet'
import type { useSlope } from './slope'

/** Provides the Worksheet's parts with the current item of the Slope. */
export function provideItemSheet({ chart, at, goTo }: Pick<ReturnType<typeof useSlope>, 'chart' | 'at' | 'goTo'>) {
  const seen = () => at.value && sheetOf(chart.value, at.value)
  const sheet = provideSheet({
    position: () => seen()?.position,
    move: () => seen()?.move,
    reaction: () => seen()?.reaction,
    picksAnswer: () => false,
    select(move, reaction) {
      const position = sheet.position.value
      if (reaction && position) goTo({ kind: 'escape', move: move ?? null, position: position.id, reaction })
      else if (move) goTo({ kind: 'move', move })
      else if (position) goTo({ kind: 'place', place: position.id })
    },
  })
}

function sheetOf(
  chart: Chart,
  item: Item,
): { position?: string | undefined; move?: string | undefined; reaction?: string } {
  if (item.kind === 'place') return { position: item.place }
  if (item.kind === 'escape') return { position: item.position, move: item.move ?? undefined, reaction: item.reaction }
  const move = item.kind === 'move' ? item.move : item.answer
  return { position: lookUp(chart.moves, move)?.from, move }
}

/** The address at which the Worksheet shows an item; undefined where it does not show it. */
export function worksheetOf(chart: Chart, item: Item) {
  const { position, move, reaction } =
    item.kind === 'answer' ? sheetOf(chart, { ...item, kind: 'escape' }) : sheetOf(chart, item)
  if (!lookUp(chart.positions, position)) return undefined
  return { path: `/worksheet/${position}`, query: { ...(move ? { move } : {}), ...(reaction ? { reaction } : {}) } }
}
