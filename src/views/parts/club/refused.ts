import { RULE_TAGS } from '../../../core/chart/rules/ruleSet'
import type { Refused } from '../../../core/club/protect'
import { t } from '../../../words/train'

/** What is refused, in a word. */
const TAG_WORDS: Partial<Record<string, string>> = { ...RULE_TAGS, finish: t('train.allFinishes') }

/** For whom something is refused. */
const FOR_WHOM: Record<Refused['because'], string> = {
  'under-14': t('train.forUnder14'),
  'under-18': t('train.forUnder18'),
  'first-months': t('train.forFirstMonths'),
  spared: t('train.forSpared'),
  'shown-on-minor': t('train.forShownOnMinor'),
}

export const refusedText = ({ tag, because }: Refused): string =>
  t('train.refusedFor', { what: TAG_WORDS[tag] ?? tag, whom: FOR_WHOM[because] })
