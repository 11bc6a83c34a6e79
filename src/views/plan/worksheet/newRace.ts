import { setRace, type TriesOwner } from '../../../core/chart/edits/tries'
import type { Move } from '../../../core/chart/move'
import { reactionsMet } from '../../../core/chart/tries'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

/** A race as it begins, until the coach says it: an even one, in three more tries. */
const EVEN = { ours: 2, theirs: 2, tries: 3 }

/** Makes some of what is tried a race, in which who is second meets what the move meets first. */
export function useNewRace() {
  const { chart, moves } = useWorksheet()
  const charts = useCharts()
  return (move: Move, owner: TriesOwner) => {
    const [reaction = moves.value.flatMap(reactionsMet)[0] ?? chart.value.reactions[0]?.id] = reactionsMet(move)
    if (!reaction) return void charts.tell(t('worksheet.sayFirstWhatTheyDo'), 'warning')
    charts.edit(t('worksheet.raceOfMove', { move: move.name }), (draft) => setRace(draft, owner, { ...EVEN, reaction }))
  }
}
