import type { Heeds } from '../../../core/club/pairs'
import { t } from '../../../words/train'

/** What a pair must heed, in words. */
export const heedsText = ({ noThrows, noStranglesOrLegLocks, endsAtHadIt }: Heeds): string[] => [
  ...(endsAtHadIt ? [t('train.itEndsAtHadIt')] : []),
  ...(noStranglesOrLegLocks ? [t('train.noStranglesNoLegLocks')] : []),
  ...(noThrows ? [t('train.noThrows')] : []),
]
