import type { Chart } from '../../chart/chart'
import { sayChart } from '../../notation/edits/sayChart'
import type { CellError } from '../in/readTable'
import type { Incoming } from '../in/incoming'
import { takeTable, type TableTaken, type TakenRows } from './takeTable'

/**
 * Takes what a file brings into a chart, with what it made of it. If anything of it is wrong, the chart is not changed,
 * and all that is wrong is returned.
 */
export function takeIncoming(chart: Chart, incoming: Incoming): TableTaken {
  if (incoming.of === 'table') return takeTable(chart, incoming.table)
  if (incoming.of === 'lines') return takeLines(chart, incoming.text)
  const { positions, moves } = incoming.graph
  const before = { ...chart }
  const places = takeTable(chart, positions)
  const arrows = takeTable(chart, moves)
  if (places.ok && arrows.ok) return { ok: true, value: summed(places.value, arrows.value) }
  Object.assign(chart, before)
  return { ok: false, errors: [places, arrows].flatMap((one) => (one.ok ? [] : one.errors)) }
}

function takeLines(chart: Chart, text: string): TableTaken {
  const said = sayChart(chart, text)
  if (!said.ok) {
    const errors = said.errors.map(({ line, at, message }): CellError => ({
      ...{ line: line + 1, column: `character ${at + 1}`, message },
    }))
    return { ok: false, errors }
  }
  const places = said.created.flatMap(({ kind, name }) => (kind === 'position' ? [name] : []))
  const added = said.created.length
  return { ok: true, value: { added, changed: said.moves, same: 0, places } }
}

const summed = (one: TakenRows, other: TakenRows): TakenRows => ({
  added: one.added + other.added,
  changed: one.changed + other.changed,
  same: one.same + other.same,
  places: [...one.places, ...other.places],
})
