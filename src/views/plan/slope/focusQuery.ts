import type { LocationQuery } from 'vue-router'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Focus } from '../../../core/slope/focus'

const SIMPLE = ['traps', 'leaks', 'loose', 'run'] as const

/** The focus as part of the address; `readFocus` reads it. */
export function focusQuery(focus: Focus): Record<string, string> {
  if (focus.on === 'whole') return {}
  if (focus.on === 'around') return { on: 'around', place: focus.place, exchanges: String(focus.exchanges) }
  return { on: focus.on }
}

export function readFocus(chart: Chart, { on, place, exchanges }: LocationQuery): Focus {
  const simple = SIMPLE.find((kind) => kind === on)
  if (simple) return { on: simple }
  const position = on === 'around' && typeof place === 'string' ? lookUp(chart.positions, place) : undefined
  if (!position) return { on: 'whole' }
  return { on: 'around', place: position.id, exchanges: exchanges === '3' ? 3 : exchanges === '2' ? 2 : 1 }
}
