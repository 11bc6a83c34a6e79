import type { Ended } from '../../../core/club/logRecords'
import { t } from '../../../words/train'

/** How a round ended, in a word. */
export const ENDED_NAMES: Record<Ended, string> = {
  tap: t('train.tap'),
  'had-it': t('train.hadIt'),
  out: t('train.out'),
  reversed: t('train.reversed'),
  time: t('train.time'),
  'no-result': t('train.noResult'),
}
