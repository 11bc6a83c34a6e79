import { useStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import type { MoveId, PositionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import type { Created } from '../../../core/notation/fork'
import type { LineError } from '../../../core/notation/edits/sayLines'
import { sayLines, sayStill } from '../../../core/notation/edits/sayLines'
import { present, sure } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../inspectors/sheet'
import { t } from '../../../words/add'

/** Applies lines of notation to the open position; keeps the first error to point at, and what positions came of it. */
export function useSaying() {
  const charts = useCharts()
  const { chart, position, select } = useWorksheet()
  const error = ref<LineError | null>(null)
  const born = ref<PositionId[]>([])

  /** Returns whether the lines were applied. */
  function say(text: string): boolean {
    const { id } = present(position.value)
    const trial = sayLines({ ...chart.value }, id, text)
    error.value = trial.ok ? null : sure(trial.errors[0])
    if (!trial.ok || !(trial.value.moves.length || trial.value.isSeenSaid)) return false
    const { moves, created } = trial.value
    edit(labelOf(moves, created), (draft) => void sayLines(draft, id, text))
    const [first] = moves
    if (first) select(first)
    return true
  }

  /** Says what they do while we hold still. Returns whether it was applied. */
  function sayTheirs(line: string): boolean {
    const { id, name } = present(position.value)
    const trial = sayStill({ ...chart.value }, id, line)
    error.value = trial.ok ? null : { ...sure(trial.errors[0]), line: 0 }
    if (!trial.ok) return false
    edit(t('add.whatTheyDoInName', { name }), (draft) => void sayStill(draft, id, line))
    select(undefined, sure(trial.value.reactions[0]))
    return true
  }

  /** What the lines are called in what can be taken back. */
  function labelOf([first, ...others]: MoveId[], created: Created[]): string {
    if (!first) return t('add.whatIsSeenInName', { name: present(position.value).name })
    const name = lookUp(chart.value.moves, first)?.name ?? created[0]?.name ?? t('add.aMove')
    return t('common.sayMoves', { moves: others.length ? t('count.move', others.length + 1) : name })
  }

  function edit(label: string, change: (draft: Chart) => void) {
    const before = new Set(chart.value.positions.map(({ id }) => id))
    charts.edit(label, change)
    born.value = present(charts.chart).positions.flatMap(({ id }) => (before.has(id) ? [] : [id]))
  }

  return { error, born, say, sayTheirs }
}

/** What is half typed in a field of the open position: it survives leaving the screen, and goes with the tab. */
export function useHalfTyped(field: 'ours' | 'theirs') {
  const { chart, position } = useWorksheet()
  const kept = useStorage<Record<string, string>>(`ataque-half-typed-${field}`, {}, sessionStorage)
  const key = computed(() => `${chart.value.id} ${position.value?.id ?? ''}`)
  const text = ref(kept.value[key.value] ?? '')
  watch(text, (typed) => {
    const { [key.value]: _, ...others } = kept.value
    kept.value = typed.trim() ? { ...others, [key.value]: typed } : others
  })
  return text
}
