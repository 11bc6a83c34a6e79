import { startOf, subjectName } from '../../../core/club/blockMoves'
import type { Block, BlockKind, CONTACTS } from '../../../core/club/session'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { sayHoldsOn, sayStart } from '../../../core/say/positionalRound'
import { shelfFlows } from './flows'
import { t, type TrainKey } from '../../../words/train'

/** What blocks are called. */
export const BLOCK_NAMES: Record<BlockKind, string> = {
  'warm-up': t('train.warmUp'),
  watch: t('train.watch'),
  try: t('train.try'),
  'stop-and-mend': t('train.stopAndMend'),
  'rounds-from': t('train.roundsFrom'),
  'flow-drill': t('train.flowDrill'),
  'free-rounds': t('train.freeRounds'),
  'cool-down': t('train.coolDown'),
}

export const blockTitle = ({ kind, title }: Block): string => title ?? BLOCK_NAMES[kind]

/** What a block is about, in the words of the chart, or of the Shelf. */
export function aboutText(chart: Chart | null, block: Block): string {
  if (block.about?.kind === 'flow') return lookUp(shelfFlows(), block.about.id)?.name ?? ''
  return (chart && subjectName(chart, block)) ?? ''
}

/** Where rounds start, unless that is what the block is about, and with what on. */
export function startingText(chart: Chart | null, block: Block): string {
  const position = chart && lookUp(chart.positions, startOf(chart, block))
  if (!position || block.kind !== 'rounds-from') return ''
  if (block.about?.kind !== 'position') return t('train.startText', { start: sayStart(chart, position) })
  const on = sayHoldsOn(chart, position)
  return on && t('train.startText', { start: `${on}.` })
}

const CONTACT: Record<(typeof CONTACTS)[number], TrainKey> = {
  none: 'train.contactNone',
  touch: 'train.contactTouch',
  light: 'train.contactLight',
}
export const contactText = (contact: (typeof CONTACTS)[number]): string => t(CONTACT[contact])

/** What is worn where there are strikes, and how hard they are. */
export const strikesText = ({ gear, contact }: Pick<Block, 'gear' | 'contact'>): string =>
  [...(gear ? [gear] : []), ...(contact ? [contactText(contact)] : [])].join(', ')

/** "6 × 1:00, rest 0:15", or nothing where it has no rounds. */
export function roundsText({ work, rest = 0, rounds = 1 }: Block): string {
  if (work === undefined) return ''
  const time = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
  return rest
    ? t('train.roundsWithRest', { rounds, work: time(work), rest: time(rest) })
    : t('train.roundsWithout', { rounds, work: time(work) })
}
