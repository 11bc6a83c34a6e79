import { bandsOf } from '../../../core/chart/bands'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Subject } from '../../../core/club/session'
import type { SaidFlow } from '../../parts/club/flows'
import { t } from '../../../words/train'

const KINDS = ['position', 'card', 'move', 'run', 'region', 'flow'] as const

/** What of a chart, and which flow of the Shelf, a block may be about, each by its kind and id. */
export function subjects(chart: Chart | null, flows: readonly SaidFlow[] = []) {
  const { positions = [], moves = [], reactions = [], cards = [], runs = [] } = chart ?? {}
  const some = (
    kind: (typeof KINDS)[number],
    list: readonly { id: string; name: string }[],
    says: (name: string) => string,
  ) => list.map(({ id, name }) => ({ value: `${kind} ${id}`, label: says(name) }))
  const rounds = cards.map(({ id, reaction }) => ({ id, name: lookUp(reactions, reaction)?.name ?? '' }))
  // A family that we do not know has no key that can be kept.
  const regions = bandsOf(positions).flatMap(({ key, name }) => (key.includes(' ') ? [] : [{ id: key, name }]))
  return [
    { value: '', label: t('train.nothingInParticular') },
    ...some('position', positions, (name) => t('train.fromPosition', { name })),
    ...some('card', rounds, (name) => t('train.roundOf', { name })),
    ...some('move', moves, (name) => t('train.moveNamed', { name })),
    ...some('run', runs, (name) => t('train.runNamed', { name })),
    ...some('region', regions, (name) => t('train.regionNamed', { name })),
    ...some('flow', flows, (name) => t('train.flowNamed', { name })),
  ]
}

/** What has been picked, as it is kept; undefined for nothing in particular. */
export function aboutOf(chart: Chart | null, picked: string): Subject | undefined {
  const [word = '', id = ''] = picked.split(' ')
  const kind = KINDS.find((one) => one === word)
  return kind && { kind, id, ...(chart && kind !== 'flow' ? { chart: chart.id } : {}) }
}
