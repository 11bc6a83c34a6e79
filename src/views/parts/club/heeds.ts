import type { Heeds } from '../../../core/club/pairs'
import { t } from '../../../words/train'

/** What a pair must heed, in words; `isLive`: they resist each other. */
export const heedsText = ({ noThrows, noStranglesOrLegLocks, endsAtHadIt, spared }: Heeds, isLive = true): string[] => [
  ...(endsAtHadIt && isLive ? [t('train.endsAtHadIt')] : []),
  ...(noStranglesOrLegLocks ? [t('train.noStranglesNoLegLocks')] : []),
  ...spared.map(({ name, parts }) => t('train.nameSpares', { name, parts: parts.join(', ') })),
  ...(noThrows ? [t('train.noThrows')] : []),
]
