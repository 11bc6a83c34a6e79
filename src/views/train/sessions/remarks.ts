import type { PlanRemark } from '../../../core/club/classPlan'
import type { Refused } from '../../../core/club/protect'
import { RULE_TAGS } from '../../../core/chart/rules/ruleSet'
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
  return t('train.newThrowLate', { block })
}

/** What is refused, in a word. */
const TAG_WORDS: Partial<Record<string, string>> = { ...RULE_TAGS, finish: t('train.allFinishes') }

/** For whom something is refused. */
const FOR_WHOM: Record<Refused['because'], string> = {
  'under-14': t('train.forUnder14'),
  'under-18': t('train.forUnder18'),
  'first-months': t('train.forFirstMonths'),
  spared: t('train.forSpared'),
}

export const refusedText = ({ tag, because }: Refused): string =>
  t('train.refusedFor', { what: TAG_WORDS[tag] ?? tag, whom: FOR_WHOM[because] })
