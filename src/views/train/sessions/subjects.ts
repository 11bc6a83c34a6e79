import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Subject } from '../../../core/club/session'
import { t } from '../../../words/train'

const KINDS = ['position', 'card', 'move', 'run'] as const

/** What of a chart a block may be about, each by its kind and id. */
export function subjects(chart: Chart | null) {
  const { positions = [], moves = [], reactions = [], cards = [], runs = [] } = chart ?? {}
  const some = (
    kind: (typeof KINDS)[number],
    list: readonly { id: string; name: string }[],
    says: (name: string) => string,
  ) => list.map(({ id, name }) => ({ value: `${kind} ${id}`, label: says(name) }))
  const rounds = cards.map(({ id, reaction }) => ({ id, name: lookUp(reactions, reaction)?.name ?? '' }))
  return [
    { value: '', label: t('train.nothingInParticular') },
    ...some('position', positions, (name) => t('train.fromPosition', { name })),
    ...some('card', rounds, (name) => t('train.roundOf', { name })),
    ...some('move', moves, (name) => t('train.moveNamed', { name })),
    ...some('run', runs, (name) => t('train.runNamed', { name })),
  ]
}

/** What has been picked, as it is kept; undefined for nothing in particular. */
export function aboutOf(chart: Chart | null, picked: string): Subject | undefined {
  const [word = '', id = ''] = picked.split(' ')
  const kind = KINDS.find((one) => one === word)
  return kind && { kind, id, ...(chart ? { chart: chart.id } : {}) }
}
