import { sure, present } from '../../../core/sure'
import { ref } from 'vue'
import type { LineError } from '../../../core/notation/edits/sayLines'
import { sayLines } from '../../../core/notation/edits/sayLines'
import { counted } from '../../../core/say/figureText'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../inspectors/sheet'
import { lookUp } from '../../../core/chart/lookUp'

/** Applies lines of notation to the open position; keeps the first error to point at. */
export function useSaying() {
  const charts = useCharts()
  const { chart, position, select } = useWorksheet()
  const error = ref<LineError | null>(null)

  /** Returns whether the lines were applied. */
  function say(text: string): boolean {
    const { id } = present(position.value)
    const trial = sayLines(structuredClone(chart.value), id, text)
    error.value = trial.ok ? null : sure(trial.errors[0])
    if (!trial.ok || !trial.value.moves.length) return false
    const { moves, created } = trial.value
    const name = lookUp(chart.value.moves, sure(moves[0]))?.name ?? created[0]?.name ?? 'a move'
    charts.edit(
      moves.length > 1 ? `Say ${counted(moves.length, 'move')}` : `Say ${name}`,
      (draft) => void sayLines(draft, id, text),
    )
    if (created.length) charts.tell(`New: ${[...new Set(created.map((one) => one.name))].join(', ')}.`)
    select(sure(moves[0]))
    return true
  }

  return { error, say }
}
