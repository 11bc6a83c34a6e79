import type { PlanRemark } from '../../../core/club/classPlan'
import type { Session } from '../../../core/club/session'
import { lookUp } from '../../../core/chart/lookUp'
import { blockTitle } from '../../parts/club/blocks'
import { t } from '../../../words/train'

/** What is wrong with a plan, in a sentence. */
export function remarkText(remark: PlanRemark, { blocks }: Session): string {
  const found = 'block' in remark ? lookUp(blocks, remark.block) : undefined
  const block = found ? blockTitle(found) : ''
  if (remark.says === 'too-long') return t('train.tooLong', { minutes: remark.minutes })
  if (remark.says === 'rounds-too-long') return t('train.roundsTooLong', { block, minutes: remark.minutes })
  if (remark.says === 'sits-out-too-long') return t('train.sitsOutTooLong', { block, rounds: remark.rounds })
  if (remark.says === 'live-before-warm-up') return t('train.liveBeforeWarmUp', { block })
  if (remark.says === 'strikes-unsaid') return t('train.strikesUnsaid', { block })
  if (remark.says === 'strangle-shown') return t('train.strangleShown', { block })
  if (remark.says === 'no-winner-stays') return t('train.noWinnerStays', { block })
  return t('train.newThrowLate', { block })
}
